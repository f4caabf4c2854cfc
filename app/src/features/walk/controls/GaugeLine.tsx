import { GAUGE_STEPS, fromStored, type MeasureCode } from '@weskopos/core';
import { useState } from 'react';
import { Choice } from '../../../kit/Choice';
import { Press } from '../../../kit/Press';
import { chooseGauge, useGaugeStep } from '../../../visit/gauges';
import { words } from '@weskopos/words/en';
import { unitOf, workshopUnit } from '@weskopos/words/show';
import { controls as say } from '@weskopos/words/en/pages/controls';

/** Which gauge is in hand: chosen once, it holds for the rest of the visit. */
export function GaugeLine({ measure }: { readonly measure: MeasureCode | undefined }) {
  return measure && GAUGE_STEPS[measure] ? <Gauge measure={measure} /> : null;
}

function Gauge({ measure }: { readonly measure: MeasureCode }) {
  const [open, setOpen] = useState(false);
  const steps = GAUGE_STEPS[measure] ?? [];
  const step = useGaugeStep(measure) ?? steps[0];
  if (step === undefined) return null;
  const unit = workshopUnit(measure);
  // A step is a difference: where the scale begins does not count.
  const shown = (one: number) => Number((fromStored(one, unit) - fromStored(0, unit)).toPrecision(2));
  const told = (one: number) => `${shown(one)} ${unitOf(measure)}`;
  if (!open)
    return (
      <Press
        kind="quiet"
        style={aside}
        label={say.gaugeReadsIn(told(step))}
        hint={say.anotherGauge(words.measure[measure])}
        onPress={() => setOpen(true)}
      />
    );
  return (
    <Choice
      label={say.gaugeFor(words.measure[measure])}
      options={steps.map(String)}
      word={(one) => told(Number(one))}
      value={String(step)}
      onChoose={(one) => {
        chooseGauge(measure, Number(one));
        setOpen(false);
      }}
    />
  );
}

const aside = { alignSelf: 'flex-start' } as const;
