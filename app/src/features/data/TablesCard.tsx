import {
  BOMS,
  DECIMAL_MARKS,
  SEPARATORS,
  TABLES,
  TABLES_PATH,
  TABLE_FORMATS,
  TABLE_UNITS,
  type TableName,
  type TableStyle,
} from '@weskopos/contract/device';
import { useState } from 'react';
import { Card } from '../../kit/Card';
import { Choice } from '../../kit/Choice';
import { Press } from '../../kit/Press';
import { saveFrom } from '../../kit/saveFrom';
import { Heading, Words } from '../../kit/Words';
import { data as say } from '@weskopos/words/en/pages/data';

/** One table of the whole workshop, as the spreadsheet at hand reads it. */
export function TablesCard() {
  const [table, setTable] = useState<TableName>('readings');
  const [format, setFormat] = useState<TableStyle['format']>('csv');
  const [units, setUnits] = useState<TableStyle['units']>('stored');
  const [separator, setSeparator] = useState<TableStyle['separator']>('comma');
  const [decimal, setDecimal] = useState<TableStyle['decimal']>('point');
  const [bom, setBom] = useState<TableStyle['bom']>('no');
  const save = () =>
    saveFrom(`${TABLES_PATH}/${table}?${new URLSearchParams({ format, units, separator, decimal, bom }).toString()}`);
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
        label={say.units}
        options={TABLE_UNITS}
        word={(one) => say.unitsOf[one]}
        value={units}
        onChoose={setUnits}
      />
      <Choice
        label={say.format}
        options={TABLE_FORMATS}
        word={(one) => say.formats[one]}
        value={format}
        onChoose={setFormat}
      />
      {format === 'csv' ? (
        <>
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
        </>
      ) : null}
      <Press label={say.saveTable} onPress={save} />
    </Card>
  );
}
