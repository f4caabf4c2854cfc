import { WORK_CODES, type WorkCode } from '@weskopos/core';
import type { DecimalSign } from '@weskopos/core/prices/readPrice';
import { readPriceTable, type PriceTableRead } from '@weskopos/core/prices/readPriceTable';
import { prices as say } from '@weskopos/words/en/pages/prices';
import { workName } from '@weskopos/words/workWords';
import { useState } from 'react';
import { Choice } from '../../kit/Choice';
import { pickFile } from '../../kit/pickFile';
import { Press } from '../../kit/Press';
import { Problem } from '../../kit/Problem';
import { Heading, Words } from '../../kit/Words';
import { problemWords } from '../../words/problemWords';

const SIGNS = ['point', 'comma'] as const satisfies readonly DecimalSign[];
/** Rows that are told one by one. */
const MOST_SHOWN = 12;

const plain = (text: string) => text.trim().toLowerCase();
/** The work a row of a table means: by its code or by its name. */
const workNamed = (name: string): WorkCode | null =>
  WORK_CODES.filter((code) => code !== 'put-right' && code !== 'own').find((code) =>
    [code, plain(workName({ code, name: '' }))].includes(plain(name)),
  ) ?? null;

/** Parts and times from a table: what was read and what not is told before it is taken. */
export function PriceFile({ onTake }: { readonly onTake: (read: PriceTableRead) => void }) {
  const [rows, setRows] = useState<readonly (readonly string[])[] | null>(null);
  const [decimal, setDecimal] = useState<DecimalSign | null>(null);
  const [problem, setProblem] = useState<string>();
  const read = rows && readPriceTable(rows, decimal, workNamed);
  const choose = async () => {
    setProblem(undefined);
    const file = await pickFile('.csv,text/csv');
    if (!file) return;
    const { parse } = await import('papaparse');
    const { data } = parse<string[]>(await file.text());
    if (data.length < 2) return setProblem(say.notRead);
    setDecimal(null);
    setRows(data);
  };
  return (
    <>
      <Heading level={3}>{say.file}</Heading>
      <Words soft>{say.fileHelp}</Words>
      <Press
        label={say.choose}
        onPress={() => void choose().catch((error: unknown) => setProblem(problemWords(error)))}
      />
      <Problem>{problem}</Problem>
      {read ? (
        <>
          <Words role="status">{say.read(read.parts.length, read.times.length)}</Words>
          {read.missing.length > 0 ? (
            <Problem>{say.missing(read.missing.map((one) => say.column[one]).join(', '))}</Problem>
          ) : null}
          {read.problems.length > 0 ? <Words strong>{say.refused(read.problems.length)}</Words> : null}
          {read.problems.slice(0, MOST_SHOWN).map(({ row, text, problem: why }) => (
            <Words key={row} size="m">
              {say.row(row, text, say.problem[why])}
            </Words>
          ))}
          <Choice
            label={say.decimal}
            options={SIGNS}
            word={(one) => say.decimalSign[one]}
            value={decimal}
            onChoose={setDecimal}
          />
          <Press
            label={say.held(read.parts.length, read.times.length)}
            disabled={read.parts.length + read.times.length === 0}
            onPress={() => {
              onTake(read);
              setRows(null);
            }}
          />
        </>
      ) : null}
    </>
  );
}
