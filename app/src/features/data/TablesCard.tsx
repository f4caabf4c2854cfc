import {
  BOMS,
  DECIMAL_MARKS,
  SEPARATORS,
  TABLES,
  TABLES_PATH,
  type CsvStyle,
  type TableName,
} from '@weskopos/contract/device';
import { useState } from 'react';
import { Card } from '../../kit/Card';
import { Choice } from '../../kit/Choice';
import { Press } from '../../kit/Press';
import { saveFrom } from '../../kit/saveFrom';
import { Heading, Words } from '../../kit/Words';
import { data as say } from '../../words/en/pages/data';

/** One table of the whole workshop, as the spreadsheet at hand reads it. */
export function TablesCard() {
  const [table, setTable] = useState<TableName>('readings');
  const [separator, setSeparator] = useState<CsvStyle['separator']>('comma');
  const [decimal, setDecimal] = useState<CsvStyle['decimal']>('point');
  const [bom, setBom] = useState<CsvStyle['bom']>('no');
  const save = () => saveFrom(`${TABLES_PATH}/${table}?${new URLSearchParams({ separator, decimal, bom }).toString()}`);
  return (
    <Card>
      <Heading level={2}>{say.tables}</Heading>
      <Words>{say.tablesHelp}</Words>
      <Choice
        label={say.whichTable}
        options={TABLES}
        word={(one) => say.table[one]}
        value={table}
        onChoose={setTable}
      />
      <Choice
        label={say.separator}
        options={SEPARATORS}
        word={(one) => say.separators[one]}
        value={separator}
        onChoose={setSeparator}
      />
      <Choice
        label={say.decimal}
        options={DECIMAL_MARKS}
        word={(one) => say.decimals[one]}
        value={decimal}
        onChoose={setDecimal}
      />
      <Choice label={say.bom} options={BOMS} word={(one) => say.boms[one]} value={bom} onChoose={setBom} />
      <Press label={say.saveTable} onPress={save} />
    </Card>
  );
}
