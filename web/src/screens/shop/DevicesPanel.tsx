import { format } from 'date-fns';
import { useEffect, useState } from 'react';
import { toast } from 'sonner';
import { call } from '../../api/client.ts';
import { useDoor } from '../../api/hooks.ts';
import { problemOf } from '../../api/problem.ts';
import type { Device, Door } from '../../api/types.ts';
import { useDraft } from '../../draft/useDraft.ts';
import { worksWithoutSignal } from '../../offline/installable.ts';
import { Button } from '../../ui/Button.tsx';
import { TextField } from '../../ui/Field.tsx';
import { Failed, Loading } from '../../ui/States.tsx';

/** Which devices are in, whose they are, and how the next one comes in. */
export function DevicesPanel() {
  const door = useDoor();
  if (door.error && !door.data) return <Failed error={door.error} retry={() => void door.mutate()} />;
  if (!door.data) return <Loading what="Looking who is in" />;
  const { me, devices, locked } = door.data;
  const again = () => void door.mutate();
  return (
    <section className="card grid content-start gap-4 p-4" aria-label="Devices">
      <h2 className="text-xl">Devices</h2>
      <NameForm key={me?.id ?? ''} me={me} onSaved={again} />
      {locked ? (
        <LetIn door={door.data} />
      ) : (
        <p className="text-soft">
          Only this computer is answered. Start with <code>npm start -- --lan</code> to let phones and tablets of the
          shop in, each with the shop key.
        </p>
      )}
      {!worksWithoutSignal() && (
        <p className="rounded bg-warn-wash p-2 text-warn">
          Without a signal this address does not open: it is plain http. With <code>--lan</code> the shop has its own
          certificate, and every screen opens anywhere.
        </p>
      )}
      {devices.length > 0 && (
        <ul className="divide-y divide-rule" aria-label="Devices that are in">
          {devices.map((d) => (
            <DeviceRow key={d.id} device={d} mine={d.id === me?.id} onOut={again} />
          ))}
        </ul>
      )}
    </section>
  );
}

function NameForm({ me, onSaved }: { me: Device | null; onSaved: () => void }) {
  const [name, setName, clearName] = useDraft('device.name', me?.name ?? '');
  const [initials, setInitials, clearInitials] = useDraft('device.initials', me?.initials ?? '');
  const [errors, setErrors] = useState<Readonly<Record<string, string>>>({});
  async function save() {
    try {
      await call('PUT', '/door/me', { name, initials });
      setErrors({});
      clearName();
      clearInitials();
      toast.success('From now on entries say who and where.');
      onSaved();
    } catch (error) {
      const refusal = problemOf(error);
      setErrors(Object.fromEntries(refusal.fields.map((f) => [f.field, f.message])));
      if (refusal.fields.length === 0) toast.error(refusal.message);
    }
  }
  return (
    <form
      className="grid items-start gap-3 sm:grid-cols-[1fr_8rem_auto]"
      aria-label="Name of this device"
      onSubmit={(e) => {
        e.preventDefault();
        void save();
      }}
    >
      <TextField
        label="This device"
        placeholder="tablet on the bench"
        value={name}
        error={errors['name']}
        onChange={(e) => setName(e.target.value)}
      />
      <TextField
        label="Initials"
        value={initials}
        error={errors['initials']}
        onChange={(e) => setInitials(e.target.value)}
      />
      <Button type="submit" className="sm:mt-[22px]">
        Save
      </Button>
    </form>
  );
}

function LetIn({ door: { key, addresses, secure } }: { door: Door }) {
  const address = addresses[0] ?? location.origin;
  const [code, setCode] = useState<string>();
  useEffect(() => {
    if (!key) return;
    void import('qrcode').then(async ({ default: QRCode }) =>
      setCode(await QRCode.toDataURL(`${address}/enter.html#${key}`, { margin: 2, width: 220 })),
    );
  }, [address, key]);
  return (
    <div className="flex flex-wrap gap-4">
      {code && (
        <img
          src={code}
          alt={`Code to scan: ${address} with the shop key`}
          className="rounded-lg"
          width={220}
          height={220}
        />
      )}
      <div className="grid grow basis-56 content-start gap-2">
        <p>Scan it with the next device, or open one of these and type the key:</p>
        <ul>
          {addresses.map((a) => (
            <li key={a} className="font-semibold break-all">
              {a}
            </li>
          ))}
        </ul>
        <p>
          Shop key <b className="text-lg whitespace-nowrap">{key}</b>
        </p>
        <p className="text-[14px] text-soft">
          It is drawn anew at each start; devices that are in stay in.
          {secure && ' A new device trusts the shop’s certificate first: the terminal says where it is.'}
        </p>
      </div>
    </div>
  );
}

function DeviceRow({ device, mine, onOut }: { device: Device; mine: boolean; onOut: () => void }) {
  async function putOut() {
    try {
      await call('DELETE', `/door/devices/${device.id}`);
      onOut();
    } catch (error) {
      toast.error(problemOf(error).message);
    }
  }
  return (
    <li className="flex min-h-12 flex-wrap items-center gap-x-4 py-1">
      <span className="grow">
        <b>{device.name}</b>, {device.initials} {mine && <span className="tag">this one</span>}
      </span>
      <span className="tag">in since {format(new Date(device.createdAt), 'd MMM yyyy')}</span>
      <Button look="quiet" aria-label={`Put out ${device.name}`} onClick={() => void putOut()}>
        Put out
      </Button>
    </li>
  );
}
