import { useHouse } from '../../api/hooks.ts';
import { usePageTitle } from '../../app/usePageTitle.ts';
import { Failed, Loading } from '../../ui/States.tsx';
import { DevicesPanel } from './DevicesPanel.tsx';
import { FilesPanel } from './FilesPanel.tsx';
import { HouseForm } from './HouseForm.tsx';
import { JournalPanel } from './JournalPanel.tsx';
import { RepairCosts } from './RepairCosts.tsx';
import { UnitsPanel } from './UnitsPanel.tsx';

export function ShopPage() {
  usePageTitle('Shop');
  const house = useHouse();
  if (house.error && !house.data) return <Failed error={house.error} retry={() => void house.mutate()} />;
  if (!house.data) return <Loading what="Opening the shop’s book" />;
  const again = () => void house.mutate();
  return (
    <div className="grid gap-3 p-3 sm:p-5 lg:grid-cols-2">
      <HouseForm key={house.data.version} stored={house.data} onSaved={again} />
      <div className="grid content-start gap-3">
        <UnitsPanel stored={house.data} onSaved={again} />
        <DevicesPanel />
        <FilesPanel />
      </div>
      <RepairCosts stored={house.data} onSaved={again} />
      <JournalPanel />
    </div>
  );
}
