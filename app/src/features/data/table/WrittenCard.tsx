import type { SheetLook } from '@weskopos/contract';
import { DECIMAL_MARKS, ENCODINGS, SHEET_SEPARATORS } from '@weskopos/contract/device';
import { DAY_ORDERS } from '@weskopos/core/sheets/readCell';
import { useState } from 'react';
import { Card } from '../../../kit/Card';
import { Choice } from '../../../kit/Choice';
import { Press } from '../../../kit/Press';
import { usePalette } from '../../../kit/theme';
import { Words } from '../../../kit/Words';
import { data } from '@weskopos/words/en/pages/data';
import { table as say } from '@weskopos/words/en/pages/table';

type Reading = SheetLook['guess'];
/** The headings lie in one of the first rows. */
const HEADING_ROWS = ['1', '2', '3', '4', '5', '6', '7', '8'] as const;

interface WrittenCardProps {
  readonly look: SheetLook;
  readonly reading: Reading;
  readonly onStyle: (style: Reading['style']) => void;
  /** The file itself is to be read otherwise. */
  readonly onFile: (file: Reading['file']) => void;
}

/** How the file writes: what was guessed, to be put right. What cannot be guessed stands open. */
export function WrittenCard({ look, reading, onStyle, onFile }: WrittenCardProps) {
  const palette = usePalette();
  const [open, setOpen] = useState(false);
  const { file, style } = reading;
  const days = (
    <Choice
      label={say.days}
      options={DAY_ORDERS}
      word={(order) => say.order[order]}
      value={style.days}
      onChoose={(order) => onStyle({ ...style, days: order })}
    />
  );
  return (
    <Card>
      {look.daysUnsure ? (
        <>
          <Words strong colour={palette.advisory}>
            {say.daysUnsure}
          </Words>
          {days}
        </>
      ) : null}
      <Press label={say.writtenShow} expanded={open} onPress={() => setOpen(!open)} />
      {open ? (
        <>
          {look.daysUnsure ? null : days}
          <Choice
            label={say.decimal}
            options={DECIMAL_MARKS}
            word={(mark) => data.decimals[mark]}
            value={style.decimal}
            onChoose={(decimal) => onStyle({ ...style, decimal })}
          />
          {look.format === 'csv' ? (
            <>
              <Choice
                label={say.separator}
                options={SHEET_SEPARATORS}
                word={(one) => say.separators[one]}
                value={file.separator}
                onChoose={(separator) => onFile({ ...file, separator })}
              />
              <Choice
                label={say.encoding}
                options={ENCODINGS}
                word={(one) => say.encodings[one]}
                value={file.encoding}
                onChoose={(encoding) => onFile({ ...file, encoding })}
              />
            </>
          ) : (
            <Choice
              label={say.tab}
              options={look.tabs}
              word={(tab) => tab}
              value={file.tab}
              onChoose={(tab) => onFile({ ...file, tab, headingRow: 1 })}
            />
          )}
          <Choice
            label={say.headingRow}
            options={HEADING_ROWS}
            word={(row) => row}
            value={HEADING_ROWS.find((row) => row === String(file.headingRow)) ?? null}
            onChoose={(row) => onFile({ ...file, headingRow: Number(row) })}
          />
        </>
      ) : null}
    </Card>
  );
}
