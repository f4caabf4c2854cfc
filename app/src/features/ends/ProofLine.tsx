import {
  DEBRIS,
  endRule,
  proofAsked,
  torqueOf,
  type EndKind,
  type EndProof,
  type HouseRules,
  type LooseEnd,
  type ProofField,
  type SpecSheet,
} from '@weskopos/core';
import { StyleSheet, View } from 'react-native';
import { Choice } from '../../kit/Choice';
import { Field } from '../../kit/Field';
import { SPACE } from '../../kit/tokens';
import { Label, Words } from '../../kit/Words';
import { words } from '@weskopos/words/en';
import { amount, houseSchool } from '@weskopos/words/show';
import { TypedReading } from '../../controls/TypedReading';
import { ends as say } from '@weskopos/words/en/pages/ends';
import { common } from '@weskopos/words/en/pages/common';

interface ProofLineProps {
  readonly field: ProofField;
  readonly title: string;
  readonly end: LooseEnd;
  readonly proof: EndProof;
  readonly spec: SpecSheet;
  readonly house: HouseRules;
  readonly onChange: (change: Partial<EndProof>) => void;
}

const FIGURES = { torqueNm: 'torque', litres: 'volume', level: 'level' } as const;
type Figure = keyof typeof FIGURES;
const isFigure = (field: ProofField): field is Figure => field in FIGURES;

/** One thing a closing tells: a figure, a count, a choice, or a part number. */
export function ProofLine(props: ProofLineProps) {
  const { field, title, end, proof, onChange } = props;
  const label = `${words.proof[field]}: ${title}`;
  if (isFigure(field)) return <FigureLine {...props} field={field} label={label} />;
  switch (field) {
    case 'fasteners':
      return (
        <Field
          label={say.fastenersBackInOf(end.opened.fasteners ?? 0)}
          aria-label={label}
          inputMode="numeric"
          figures={{}}
          defaultValue={proof.fasteners === null ? '' : String(proof.fasteners)}
          onChangeText={(text) => onChange({ fasteners: /^\d{1,2}$/.test(text.trim()) ? Number(text) : null })}
        />
      );
    case 'washer':
      return <WasherLine {...props} />;
    case 'debris':
      return (
        <Choice
          label={words.proof.debris}
          options={DEBRIS}
          word={(one) => words.debris[one]}
          value={proof.debris}
          onChoose={(debris) => onChange({ debris })}
        />
      );
    case 'partNumber':
      return (
        <Field
          label={words.proof.partNumber}
          aria-label={label}
          maxLength={60}
          defaultValue={proof.partNumber}
          onChangeText={(partNumber) => onChange({ partNumber })}
        />
      );
    default: {
      const value = proof[field];
      return (
        <Choice
          label={(field === 'seenTo' && words.seenTo[end.opened.end]) || words.proof[field]}
          options={['yes', 'no'] as const}
          word={(one) => (one === 'yes' ? say.yes : say.no)}
          value={value === null ? null : value ? 'yes' : 'no'}
          onChoose={(one) => onChange({ [field]: one === 'yes' })}
        />
      );
    }
  }
}

interface FigureLineProps extends ProofLineProps {
  readonly field: Figure;
  readonly label: string;
}

function FigureLine({ field, label, end, proof, spec, onChange }: FigureLineProps) {
  const heads: Record<Figure, string> = {
    torqueNm: torqueHead(end.opened.end, spec),
    litres: say.litresPutInAllStages,
    level: say.levelAfterwards0LowerMark,
  };
  return (
    <View style={styles.line}>
      <Label size="m" soft>
        {heads[field]}
      </Label>
      <TypedReading
        measure={FIGURES[field]}
        label={label}
        value={proof[field]}
        onValue={(value) => onChange({ [field]: value })}
      />
    </View>
  );
}

function torqueHead(end: EndKind, spec: SpecSheet): string {
  const { fastener } = endRule(end);
  const torque = fastener && torqueOf(spec, fastener);
  if (!torque) return say.torqueTheSpecSheetIs;
  const { newtonMetres, angleDeg, stagesNm, socket } = torque;
  return [
    say.torqueSpec(amount('torque', newtonMetres), socket ? `, ${socket}` : ''),
    angleDeg === null ? '' : say.thenAngle(angleDeg),
    stagesNm.length === 0 ? '' : say.inStages(stagesNm.map((one) => amount('torque', one)).join(', ')),
  ].join('');
}

function WasherLine({ proof, house, onChange }: ProofLineProps) {
  return (
    <View style={styles.line}>
      <Choice
        label={say.washer}
        options={['new', 'reused'] as const}
        word={(one) => (one === 'new' ? common.newOne : say.reused)}
        value={proof.washer}
        onChoose={(washer) => onChange({ washer })}
      />
      <Words size="s" soft>
        {say.washerRule(houseSchool(house, 'drainWasher'))}
      </Words>
    </View>
  );
}

/** By which house rule a filter is tightened, where one is. */
export function tightnessLine(
  end: EndKind,
  { spec, house }: { readonly spec: SpecSheet; readonly house: HouseRules },
): string | null {
  if (end !== 'oil-filter') return null;
  return proofAsked(end, { spec, house }).includes('torqueNm') ? say.filterByTorque : say.filterByHand;
}

const styles = StyleSheet.create({ line: { gap: SPACE.xs } });
