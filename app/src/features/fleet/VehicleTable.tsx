import type { YardEntry } from '@weskopos/contract';
import { GRADES } from '@weskopos/core';
import type { VehicleBoard } from '@weskopos/core/outlook';
import {
  createColumnHelper,
  flexRender,
  getCoreRowModel,
  getSortedRowModel,
  useReactTable,
  type SortingState,
} from '@tanstack/react-table';
import { useMemo, useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { Card } from '../../kit/Card';
import { GradeMark } from '../../kit/GradeMark';
import { LinkPress } from '../../kit/LinkPress';
import { LongList } from '../../kit/LongList';
import { ONE_LINE } from '../../kit/textScale';
import { SPACE, TOUCH } from '../../kit/tokens';
import { gradeColours, usePalette } from '../../kit/theme';
import { Heading, Label, Words } from '../../kit/Words';
import { words } from '@weskopos/words/en';
import { fleet as say } from '@weskopos/words/en/pages/fleet';
import { dateWords, meterWords, pointShort } from '@weskopos/words/show';
import { dueMs, whenOf } from '../charts/fleetPart';
import { gradeOf } from '../yard/lines';

/** One vehicle as the desk compares them. */
interface Row {
  readonly entry: YardEntry;
  readonly board: VehicleBoard | undefined;
}

const seenAt = ({ entry }: Row) => entry.standing?.last?.at ?? '';
const soonest = ({ board }: Row) => [...(board?.parts ?? [])].sort((a, b) => dueMs(a) - dueMs(b))[0];
const shortDay = (iso: string) => (iso === '' ? '–' : dateWords(new Date(iso), 'dayAndMonth'));

const column = createColumnHelper<Row>();
const COLUMNS = [
  column.accessor(({ entry }) => entry.vehicle.fleetCode, {
    id: 'code',
    header: say.vehicle,
    sortingFn: 'alphanumeric',
    cell: ({ row: { original } }) => <Vehicle row={original} />,
  }),
  column.accessor((row) => GRADES.indexOf(gradeOf(row.entry)), {
    id: 'stands',
    header: say.stands,
    sortDescFirst: true,
    cell: ({ row: { original } }) => <Stands row={original} />,
  }),
  column.accessor(({ entry }) => entry.last?.meter ?? -1, {
    id: 'meter',
    header: say.meter,
    cell: ({ row: { original } }) => (
      <Words size="m">
        {original.entry.last ? meterWords(original.entry.last.meter, original.entry.vehicle.meterUnit) : '–'}
      </Words>
    ),
  }),
  column.accessor(seenAt, {
    id: 'seen',
    header: say.lastSeen,
    cell: ({ row: { original } }) => <Words size="m">{shortDay(seenAt(original))}</Words>,
  }),
  column.accessor((row) => row.board?.nextVisit ?? '9', {
    id: 'next',
    header: say.nextVisit,
    cell: ({ row: { original } }) => <Words size="m">{shortDay(original.board?.nextVisit ?? '')}</Words>,
  }),
  column.accessor(
    (row) => {
      const part = soonest(row);
      return part ? dueMs(part) : Infinity;
    },
    { id: 'soonest', header: say.soonest, cell: ({ row: { original } }) => <Soonest row={original} /> },
  ),
];

interface VehicleTableProps {
  readonly entries: readonly YardEntry[];
  readonly boards: readonly VehicleBoard[];
}

/** Every vehicle on one line, sorted by whatever one compares. */
export function VehicleTable({ entries, boards }: VehicleTableProps) {
  const palette = usePalette();
  const [sorting, setSorting] = useState<SortingState>([{ id: 'code', desc: false }]);
  const data = useMemo(() => {
    const byId = new Map(boards.map((board) => [board.vehicleId, board]));
    return entries
      .filter(({ vehicle }) => byId.has(vehicle.id))
      .map((entry): Row => ({ entry, board: byId.get(entry.vehicle.id) }));
  }, [entries, boards]);
  // eslint-disable-next-line react-hooks/incompatible-library -- made anew with each render; nothing of it is remembered.
  const table = useReactTable({
    data,
    columns: COLUMNS,
    state: { sorting },
    onSortingChange: setSorting,
    getCoreRowModel: getCoreRowModel(),
    getSortedRowModel: getSortedRowModel(),
    enableSortingRemoval: false,
  });
  return (
    <Card>
      <Heading level={2}>{say.everyVehicle}</Heading>
      <View role="table" aria-label={say.everyVehicle}>
        {table.getHeaderGroups().map((group) => (
          <View role="row" key={group.id} style={styles.row}>
            {group.headers.map(({ id, column: one }) => {
              const sorted = one.getIsSorted();
              return (
                <View
                  key={id}
                  role="columnheader"
                  {...{
                    'aria-sort': sorted === false ? 'none' : sorted === 'asc' ? 'ascending' : 'descending',
                  }}
                  style={styles.cell}
                >
                  <Pressable role="button" onPress={() => one.toggleSorting()} style={styles.head}>
                    <Label size="m" soft={sorted === false}>
                      {`${String(one.columnDef.header)}${sorted === false ? '' : sorted === 'asc' ? ' ↑' : ' ↓'}`}
                    </Label>
                  </Pressable>
                </View>
              );
            })}
          </View>
        ))}
        <LongList items={table.getRowModel().rows} keyOf={({ id }) => id} height={TOUCH.least + 1} role="rowgroup">
          {(row) => (
            <View role="row" style={[styles.row, { borderColor: palette.rule }]}>
              {row.getVisibleCells().map((cell) => (
                <View role="cell" key={cell.id} style={styles.cell}>
                  {flexRender(cell.column.columnDef.cell, cell.getContext())}
                </View>
              ))}
            </View>
          )}
        </LongList>
      </View>
    </Card>
  );
}

function Vehicle({ row: { entry } }: { readonly row: Row }) {
  const { id, fleetCode, make, model } = entry.vehicle;
  return (
    <LinkPress href={`/vehicle/${id}`} style={styles.link}>
      <Label size="l">{fleetCode}</Label>
      <Words size="s" soft {...ONE_LINE}>
        {`${make} ${model}`.trim()}
      </Words>
    </LinkPress>
  );
}

function Stands({ row }: { readonly row: Row }) {
  const palette = usePalette();
  const grade = gradeOf(row.entry);
  return (
    <View style={styles.stands}>
      <GradeMark grade={grade} height={26} />
      <Words size="m" strong colour={gradeColours(palette, grade).line}>
        {words.grade[grade]}
      </Words>
    </View>
  );
}

function Soonest({ row }: { readonly row: Row }) {
  const { board, entry } = row;
  const part = soonest(row);
  if (!part || !board) return <Words size="m">–</Words>;
  const told = { ...part, vehicle: board, seats: entry.vehicle };
  return <Words size="m">{`${pointShort(part.point, part.place, entry.vehicle)}, ${whenOf(told)}`}</Words>;
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', borderTopWidth: 1, borderColor: 'transparent', gap: SPACE.s },
  cell: { flex: 1 },
  head: { minHeight: TOUCH.least, justifyContent: 'center' },
  link: { minHeight: TOUCH.least, justifyContent: 'center' },
  stands: { flexDirection: 'row', alignItems: 'center', gap: SPACE.xs },
});
