import { BUNDLE_PATHS } from '@weskopos/contract/device';
import { useRouter } from 'expo-router';
import { Card } from '../../kit/Card';
import { Press } from '../../kit/Press';
import { saveFrom } from '../../kit/saveFrom';
import { Heading, Words } from '../../kit/Words';
import { useWorkshop } from '../../sync/workshop';
import { SpecList } from '../../visit/SpecList';
import { words } from '@weskopos/words/en';
import { data } from '@weskopos/words/en/pages/data';
import { sheet as say } from '@weskopos/words/en/pages/sheet';
import { amount } from '@weskopos/words/show';
import { VehiclePage } from '../sheet/VehiclePage';
import { KeeperCard } from './KeeperCard';

/** What the vehicle is and what its sheet tells the hands, to be read at a glance. */
export function SpecPage() {
  const router = useRouter();
  const isLead = useWorkshop(({ person }) => person?.role === 'lead');
  return (
    <VehiclePage
      page={say.spec}
      foot={({ life: { vehicle } }) => (
        <>
          <Press label={say.edit} onPress={() => router.push(`/vehicle/${vehicle.id}/edit`)} style={{ flex: 1 }} />
          <Press
            label={data.ofVehicle}
            onPress={() => saveFrom(BUNDLE_PATHS.vehicle.replace(':id', vehicle.id))}
            style={{ flex: 1 }}
          />
        </>
      )}
    >
      {({ life: { vehicle } }) => {
        const { plate, vin, year, axles, spec } = vehicle;
        const told = [
          [say.class, words.vehicleClass[vehicle.class]],
          [say.year, String(year)],
          [say.plate, plate],
          [say.vin, vin],
        ] as const;
        return (
          <>
            <Card>
              <Heading level={2}>{say.forHands}</Heading>
              <SpecList spec={spec} />
            </Card>
            <Card>
              <Heading level={2}>{say.what}</Heading>
              {told.map(([word, value]) => (value ? <Words key={word}>{say.told(word, value)}</Words> : null))}
              {axles.map(({ tyreSize, placardKpa }, axle) => (
                <Words key={axle}>
                  {say.told(
                    say.tyres(axle + 1),
                    [tyreSize, placardKpa === null ? '' : amount('pressure', placardKpa)].filter(Boolean).join(' · '),
                  )}
                </Words>
              ))}
            </Card>
            {isLead ? <KeeperCard vehicleId={vehicle.id} /> : null}
          </>
        );
      }}
    </VehiclePage>
  );
}
