import { createHash, randomBytes, randomUUID } from 'node:crypto';
import type { Device } from '@pondu/core';
import { notFound } from '../http/problem.ts';
import type { Store } from './database.ts';
import type { DeviceRow } from './models.ts';

const hashed = (token: string): string => createHash('sha256').update(token).digest('hex');
/** 256 bits: not to be guessed, so a plain hash is all that need be kept. */
const TOKEN_BYTES = 32;

/** Lets a device in; the token is given out once, here, and only its hash is stored. */
export async function addDevice(
  store: Store,
  named: Pick<Device, 'name' | 'initials'>,
): Promise<{ device: Device; token: string }> {
  const token = randomBytes(TOKEN_BYTES).toString('base64url');
  const at = new Date().toISOString();
  const device: Device = { ...named, id: randomUUID(), createdAt: at, seenAt: at };
  await store.write((transaction) =>
    store.models.devices.create({ ...device, tokenHash: hashed(token), outAt: null }, { transaction }),
  );
  store.changes.tell({ type: 'devices' });
  return { device, token };
}

/** So often a device's last visit is written down. */
const SEEN_EVERY_MS = 3_600_000;

export async function deviceOf(store: Store, token: string): Promise<Device | undefined> {
  const row = await store.models.devices.findOne({ where: { tokenHash: hashed(token) } });
  if (!row || row.outAt !== null) return undefined;
  if (Date.now() - Date.parse(row.seenAt) > SEEN_EVERY_MS)
    await store.write((transaction) => row.update({ seenAt: new Date().toISOString() }, { transaction }));
  return shown(row);
}

const shown = ({ id, name, initials, createdAt, seenAt }: DeviceRow): Device => ({
  id,
  name,
  initials,
  createdAt,
  seenAt,
});

export async function listDevices(store: Store): Promise<Device[]> {
  const rows = await store.models.devices.findAll({ where: { outAt: null }, order: [['createdAt', 'ASC']] });
  return rows.map(shown);
}

export async function renameDevice(store: Store, id: string, named: Pick<Device, 'name' | 'initials'>): Promise<void> {
  await store.write(async (transaction) => {
    const [changed] = await store.models.devices.update(named, { where: { id, outAt: null }, transaction });
    if (changed === 0) throw notFound('device', id);
  });
  store.changes.tell({ type: 'devices' });
}

/** From now on its cookie opens nothing. */
export async function putOut(store: Store, id: string): Promise<void> {
  await store.write(async (transaction) => {
    const [changed] = await store.models.devices.update(
      { outAt: new Date().toISOString() },
      { where: { id, outAt: null }, transaction },
    );
    if (changed === 0) throw notFound('device', id);
  });
  store.changes.tell({ type: 'devices' });
}
