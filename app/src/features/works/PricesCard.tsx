import type { PricedPart, PriceList } from '@weskopos/core';
import { readPrice } from '@weskopos/core/prices/readPrice';
import { common } from '@weskopos/words/en/pages/common';
import { prices as say } from '@weskopos/words/en/pages/prices';
import { money } from '@weskopos/words/priceWords';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Card } from '../../kit/Card';
import { Field } from '../../kit/Field';
import { Press } from '../../kit/Press';
import { Problem } from '../../kit/Problem';
import { SPACE } from '../../kit/tokens';
import { Heading, Words } from '../../kit/Words';
import { ServerProblem } from '../../sync/transport';
import type { Prices } from '../../sync/usePrices';
import { call } from '../../sync/workshop';
import { problemWords } from '../../words/problemWords';
import { PriceFile } from './PriceFile';

const MOST_TAX = 50;
const MOST_MONEY = 1_000_000;
/** Rows that are told one by one; a list of thousands is searched, not scrolled. */
const MOST_SHOWN = 12;
const EMPTY: PriceList = { currency: 'EUR', taxPercent: 0, hourRate: null, parts: [], times: [] };

/** A figure as it is typed, by either sign; null for what is none or out of range. */
function figureOf(text: string, most: number): number | null {
  const read = readPrice(text, text.includes(',') ? 'comma' : 'point');
  return read.status === 'price' && read.price <= most ? read.price : null;
}

const plain = (text: string) => text.trim().toLowerCase();

interface PricesCardProps {
  readonly prices: Prices;
  readonly onKept: () => void;
  readonly onDone: () => void;
}

/** What the workshop asks: by hand or from a table; kept as a whole. */
export function PricesCard({ prices, onKept, onDone }: PricesCardProps) {
  const [list, setList] = useState(prices.list ?? EMPTY);
  const [from, setFrom] = useState(prices.version);
  const [currency, setCurrency] = useState(list.currency);
  const [tax, setTax] = useState(String(list.taxPercent));
  const [rate, setRate] = useState(list.hourRate === null ? '' : String(list.hourRate));
  const [part, setPart] = useState({ name: '', number: '', price: '' });
  const [wanted, setWanted] = useState('');
  const [told, setTold] = useState<string>();
  const [problem, setProblem] = useState<string>();

  const taxed = figureOf(tax, MOST_TAX);
  const hourRate = rate.trim() === '' ? null : figureOf(rate, MOST_MONEY);
  const wrong = {
    currency: /^[A-Z]{3}$/.test(currency) ? undefined : say.currencyRange,
    tax: taxed === null ? say.taxRange : undefined,
    rate: rate.trim() !== '' && hourRate === null ? say.moneyRange : undefined,
  };
  const partPrice = figureOf(part.price, MOST_MONEY);

  const add = () => {
    if (partPrice === null || part.name.trim() === '') return setProblem(say.partNeeded);
    setProblem(undefined);
    setList({
      ...list,
      parts: [...list.parts, { name: part.name.trim(), number: part.number.trim(), price: partPrice }],
    });
    setPart({ name: '', number: '', price: '' });
  };
  const keep = async () => {
    setProblem(undefined);
    if (taxed === null || Object.values(wrong).some(Boolean)) return;
    try {
      const kept = await call('putPrices', {
        body: { from, list: { ...list, currency, taxPercent: taxed, hourRate } },
      });
      setFrom(kept.version);
      setTold(say.kept);
      onKept();
    } catch (error) {
      if (error instanceof ServerProblem && error.problem.code === 'prices-changed') {
        setFrom((await call('prices')).version);
        return setProblem(say.changedMeanwhile);
      }
      throw error;
    }
  };
  const found = list.parts.filter(({ name, number }) => plain(`${name} ${number}`).includes(plain(wanted)));
  return (
    <Card>
      <Heading level={2}>{say.name}</Heading>
      <Words>{say.help}</Words>
      <View style={styles.row}>
        <View style={styles.grow}>
          <Field
            label={say.currency}
            value={currency}
            maxLength={3}
            onChangeText={(text) => setCurrency(text.toUpperCase())}
            problem={wrong.currency}
          />
        </View>
        <View style={styles.grow}>
          <Field label={say.tax} value={tax} figures={{ signed: false }} onChangeText={setTax} problem={wrong.tax} />
        </View>
        <View style={styles.grow}>
          <Field
            label={say.hourRate}
            value={rate}
            figures={{ signed: false }}
            onChangeText={setRate}
            help={say.hourRateHelp}
            problem={wrong.rate}
          />
        </View>
      </View>
      <PriceFile
        onTake={({ parts, times }) => setList({ ...list, parts, times: times.length > 0 ? times : list.times })}
      />
      <Heading level={3}>{say.held(list.parts.length, list.times.length)}</Heading>
      {list.parts.length > MOST_SHOWN ? <Field label={say.find} value={wanted} onChangeText={setWanted} /> : null}
      {found.slice(0, MOST_SHOWN).map((one) => (
        <PartLine
          key={`${one.number} ${one.name}`}
          part={one}
          currency={wrong.currency ? EMPTY.currency : currency}
          onTakeOut={() => setList({ ...list, parts: list.parts.filter((other) => other !== one) })}
        />
      ))}
      <View style={styles.row}>
        <View style={styles.grow}>
          <Field
            label={say.partName}
            value={part.name}
            maxLength={120}
            onChangeText={(name) => setPart({ ...part, name })}
          />
        </View>
        <View style={styles.grow}>
          <Field
            label={say.partNumber}
            value={part.number}
            maxLength={60}
            onChangeText={(number) => setPart({ ...part, number })}
          />
        </View>
        <View style={styles.grow}>
          <Field
            label={say.partPrice}
            value={part.price}
            figures={{ signed: false }}
            onChangeText={(price) => setPart({ ...part, price })}
            problem={part.price.trim() !== '' && partPrice === null ? say.moneyRange : undefined}
          />
        </View>
      </View>
      <Press label={say.addPart} onPress={add} />
      <Problem>{problem}</Problem>
      {told ? <Words role="status">{told}</Words> : null}
      <View style={styles.row}>
        <Press label={say.leave} onPress={onDone} style={styles.grow} />
        <Press
          kind="main"
          label={say.keep}
          onPress={() => void keep().catch((error: unknown) => setProblem(problemWords(error)))}
          style={styles.grow}
        />
      </View>
    </Card>
  );
}

interface PartLineProps {
  readonly part: PricedPart;
  readonly currency: string;
  readonly onTakeOut: () => void;
}

function PartLine({ part: { name, number, price }, currency, onTakeOut }: PartLineProps) {
  return (
    <View style={styles.line}>
      <View style={styles.grow}>
        <Words strong>{name}</Words>
        <Words size="m" soft>
          {[number, money(price, currency)].filter(Boolean).join(' · ')}
        </Words>
      </View>
      <Press kind="quiet" label={common.takeOut} hint={say.takeOut(name)} onPress={onTakeOut} />
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
  line: { flexDirection: 'row', alignItems: 'center', gap: SPACE.s },
  grow: { flexGrow: 1, flexBasis: 140 },
});
