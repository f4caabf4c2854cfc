import {
  HOUSE_CHOICES,
  HOUSE_QUESTIONS,
  HOUSE_RANGES,
  MEASURES,
  MEASURE_CODES,
  UNIT_CHOICES,
  UNIT_QUESTIONS,
  parseMeasure,
  type HouseQuestion,
  type HouseRules,
  type Rulebook,
  entryOf,
  type UnitQuestion,
} from '@weskopos/core';
import { StyleSheet, View } from 'react-native';
import { Card } from '../../kit/Card';
import { Choice } from '../../kit/Choice';
import { Press } from '../../kit/Press';
import { SPACE } from '../../kit/tokens';
import { Heading, Label } from '../../kit/Words';
import { words } from '@weskopos/words/en';
import { CapsCard } from './CapsCard';
import { FigureField } from './FigureField';
import { plainFigure } from './plainFigure';
import { RuleLine } from './RuleLine';
import { figureEffect, figureQuestion, ruleEffect, unitLine } from '@weskopos/words/en/ruleEffects';
import { rules as say } from '@weskopos/words/en/pages/rules';
import { common } from '@weskopos/words/en/pages/common';

interface HouseEditorProps {
  readonly rulebook: Rulebook;
  readonly onChange: (rulebook: Rulebook) => void;
}

const celsius = (text: string) => {
  const parsed = parseMeasure(text, '°C');
  return parsed.status === 'value' ? parsed.stored : NaN;
};
/** Figures of the house, the unit they are told in, and how they are read where they are no plain numbers. */
const FIGURES = [
  { field: 'designLowC', unit: '°C', read: celsius },
  { field: 'hardUseFactor', unit: '', read: undefined },
  { field: 'lookAhead', unit: '', read: undefined },
  { field: 'altitudeM', unit: 'm', read: undefined },
  { field: 'carryDays', unit: say.days, read: undefined },
  { field: 'carryKm', unit: 'km', read: undefined },
] as const;
const RANGES = { ...HOUSE_RANGES, hardUseFactor: { least: 0.05, most: 1 }, lookAhead: { least: 0.01, most: 1 } };
const MONTHS = Array.from({ length: 12 }, (_, index) => index + 1);
const monthWord = (month: number) => new Date(2026, month - 1, 1).toLocaleDateString('en-GB', { month: 'short' });

/** The schools a workshop follows, its units, and the few figures of its own. */
export function HouseEditor({ rulebook, onChange }: HouseEditorProps) {
  const { house } = rulebook;
  const set = (change: Partial<HouseRules>) => onChange({ ...rulebook, house: { ...house, ...change } });
  return (
    <>
      <Card>
        <Heading level={2}>{say.judging}</Heading>
        <RuleLine question={figureQuestion.sheet} answer={house.sheet} effect={figureEffect.sheet}>
          <Choice
            label={say.limitSheet}
            options={rulebook.sheets.map(({ code }) => code)}
            word={(code) => code}
            value={house.sheet}
            onChoose={(sheet) => set({ sheet })}
          />
        </RuleLine>
        {FIGURES.map(({ field, unit, read }) => (
          <RuleLine
            key={field}
            question={figureQuestion[field]}
            answer={`${plainFigure(house[field])} ${unit}`.trim()}
            effect={figureEffect[field]}
          >
            <FigureField
              label={say.houseFigure[field]}
              value={house[field]}
              least={RANGES[field].least}
              most={RANGES[field].most}
              {...(read ? { read } : {})}
              onValue={(value) => set({ [field]: value })}
            />
          </RuleLine>
        ))}
        <RuleLine
          question={figureQuestion.winterMonths}
          answer={house.winterMonths.map(monthWord).join(', ') || unitLine.none}
          effect={figureEffect.winterMonths}
        >
          <View style={styles.row}>
            {MONTHS.map((month) => {
              const chosen = house.winterMonths.includes(month);
              return (
                <Press
                  key={month}
                  role="checkbox"
                  label={monthWord(month)}
                  chosen={chosen}
                  onPress={() =>
                    set({
                      winterMonths: chosen
                        ? house.winterMonths.filter((one) => one !== month)
                        : [...house.winterMonths, month],
                    })
                  }
                />
              );
            })}
          </View>
        </RuleLine>
      </Card>
      <CapsCard caps={house.changeCaps} onChange={(changeCaps) => set({ changeCaps })} />
      <Repeatability house={house} onChange={(repeatability) => set({ repeatability })} />
      <Card>
        <Heading level={2}>{say.schools}</Heading>
        {HOUSE_QUESTIONS.map((question) => (
          <RuleLine
            key={question}
            question={words.house[question]}
            answer={schoolWord(question, house[question])}
            effect={ruleEffect[question]}
          >
            <Choice
              label={words.house[question]}
              hideLabel
              options={schoolsOf(question)}
              word={(school) => schoolWord(question, school)}
              value={house[question]}
              onChoose={(school) => set({ [question]: school })}
            />
          </RuleLine>
        ))}
      </Card>
      <Card>
        <Heading level={2}>{common.units}</Heading>
        {UNIT_QUESTIONS.map((question) => (
          <RuleLine
            key={question}
            question={unitLine.of(words.unitQuestion[question])}
            answer={house.units[question]}
            effect={figureEffect.units}
          >
            <Choice
              label={words.unitQuestion[question]}
              hideLabel
              options={unitsOf(question)}
              word={(unit) => unit}
              value={house.units[question]}
              onChoose={(unit) => set({ units: { ...house.units, [question]: unit } })}
            />
          </RuleLine>
        ))}
      </Card>
    </>
  );
}

/** Measures this house grades by its own repeats; they are taken over from the scorecard. */
function Repeatability({
  house: { repeatability },
  onChange,
}: {
  readonly house: HouseRules;
  readonly onChange: (repeatability: HouseRules['repeatability']) => void;
}) {
  const own = MEASURE_CODES.flatMap((measure) => {
    const sigma = repeatability[measure];
    return sigma === undefined ? [] : [{ measure, sigma }];
  });
  if (own.length === 0) return null;
  return (
    <Card>
      <Heading level={2}>{say.howWellReadingsRepeat}</Heading>
      <Label size="m" soft>
        {say.fromSecondReadingsOnThe}
      </Label>
      {own.map(({ measure, sigma }) => (
        <View key={measure} style={styles.group}>
          <FigureField
            label={`${words.measure[measure]}, ${MEASURES[measure].unit}`}
            value={sigma}
            least={0.001}
            most={100}
            onValue={(value) => onChange({ ...repeatability, [measure]: value })}
          />
          <Press
            label={say.asTheUsualGauge(MEASURES[measure].repeatability)}
            onPress={() => {
              const { [measure]: _gone, ...rest } = repeatability;
              onChange(rest);
            }}
          />
        </View>
      ))}
    </Card>
  );
}

const schoolsOf = (question: HouseQuestion): readonly string[] => HOUSE_CHOICES[question];
const unitsOf = (question: UnitQuestion): readonly string[] => UNIT_CHOICES[question];

function schoolWord(question: HouseQuestion, school: string): string {
  return entryOf<string>(words.school[question], school) ?? school;
}

const styles = StyleSheet.create({
  group: { gap: SPACE.xs },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
});
