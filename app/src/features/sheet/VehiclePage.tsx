import type { Life } from '@weskopos/contract';
import { useLocalSearchParams } from 'expo-router';
import type { ReactNode } from 'react';
import { Label } from '../../kit/Words';
import { NotHere } from '../../shell/NotHere';
import { Page } from '../../shell/Page';
import { sheet as say } from '@weskopos/words/en/pages/sheet';
import { dateWords, meterWords } from '@weskopos/words/show';
import type { Sheet } from './sheetOf';
import { useSheet } from './useSheet';

/** What every part of a vehicle's page is given. */
export interface SheetProps {
  readonly life: Life;
  readonly sheet: Sheet;
}

interface VehiclePageProps {
  /** Which page, beside the vehicle's code; the vehicle as it stands now without. */
  readonly page?: string;
  readonly width?: number;
  readonly children: (given: SheetProps) => ReactNode;
  readonly foot?: (given: SheetProps) => ReactNode;
}

/** One page of a vehicle: its code, how far it has come, what it is. */
export function VehiclePage({ page, width, children, foot }: VehiclePageProps) {
  const { id } = useLocalSearchParams<{ id: string }>();
  const known = useSheet(id);
  if (!known) return <NotHere />;
  const { vehicle } = known.life;
  const { last } = known.sheet;
  const about = [`${vehicle.make} ${vehicle.model}`.trim(), vehicle.use, vehicle.plate];
  return (
    <Page
      title={page ? say.pageOf(vehicle.fleetCode, page) : vehicle.fleetCode}
      over={about.filter(Boolean).join(' · ')}
      {...(last
        ? {
            aside: (
              <Label size="l" soft style={{ textAlign: 'right', maxWidth: 150 }}>
                {say.meterOn(
                  meterWords(last.inspection.meter, vehicle.meterUnit),
                  dateWords(new Date(last.inspection.startedAt), 'dayAndMonth'),
                )}
              </Label>
            ),
          }
        : {})}
      {...(width === undefined ? {} : { width })}
      foot={foot?.(known)}
    >
      {children(known)}
    </Page>
  );
}
