import {
  OFFERED,
  STATIONS,
  isOwnCode,
  type PointCode,
  type Rulebook,
  type Station,
  type Template,
} from '@weskopos/core';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Card } from '../../kit/Card';
import { Choice } from '../../kit/Choice';
import { Field } from '../../kit/Field';
import { Press } from '../../kit/Press';
import { SPACE } from '../../kit/tokens';
import { Words } from '../../kit/Words';
import { words } from '@weskopos/words/en';
import { templateWords, pointName } from '@weskopos/words/show';
import { OwnPoints } from './OwnPoints';
import { codeFor, movePoint, stationRows, togglePoint } from './templatePoints';
import { rules as say } from '@weskopos/words/en/pages/rules';
import { common } from '@weskopos/words/en/pages/common';

interface TemplateEditorProps {
  readonly rulebook: Rulebook;
  readonly onChange: (rulebook: Rulebook) => void;
}

const WALKED = STATIONS.filter((station) => station !== 'arrival');

/** Templates: which points an inspection holds, in which order, and what may be carried. */
export function TemplateEditor({ rulebook, onChange }: TemplateEditorProps) {
  const [code, setCode] = useState(rulebook.templates[0]?.code ?? '');
  const [station, setStation] = useState<Station>('cold');
  const template = rulebook.templates.find((one) => one.code === code) ?? rulebook.templates[0];
  if (!template) return null;
  const { house } = rulebook;
  // As it is called in the edit, saved or not.
  const named = (point: PointCode) => (isOwnCode(point) && house.ownPoints[point]?.name) || pointName(point);
  const change = (edited: Template) =>
    onChange({ ...rulebook, templates: rulebook.templates.map((one) => (one.code === template.code ? edited : one)) });
  const copy = () => {
    const name = say.ours(templateWords(template));
    const fresh = codeFor(
      name,
      rulebook.templates.map((one) => one.code),
    );
    onChange({ ...rulebook, templates: [...rulebook.templates, { ...template, code: fresh, name }] });
    setCode(fresh);
  };
  return (
    <>
      <Choice
        label={say.template}
        options={rulebook.templates.map((one) => one.code)}
        word={(one) => templateWords(rulebook.templates.find((other) => other.code === one) ?? { code: one, name: '' })}
        value={template.code}
        onChoose={setCode}
      />
      <Press label={say.copyThisTemplate} onPress={copy} style={styles.aside} />
      <Card>
        <Field
          label={common.name}
          value={template.name}
          onChangeText={(name) => change({ ...template, name })}
          maxLength={60}
          placeholder={templateWords(template)}
        />
        <View style={styles.row}>
          <Press
            role="checkbox"
            label={say.nothingCarriedFromBefore}
            chosen={template.nothingCarried}
            onPress={() => change({ ...template, nothingCarried: !template.nothingCarried })}
          />
          <Press
            role="checkbox"
            label={say.agesAreWanted}
            chosen={template.asks.length > 0}
            onPress={() => change({ ...template, asks: template.asks.length > 0 ? [] : ['part-age', 'age-distance'] })}
          />
        </View>
        <Choice
          label={words.offeredTo.label}
          options={OFFERED}
          word={(one) => words.offeredTo[one]}
          value={template.offeredTo}
          onChoose={(offeredTo) => change({ ...template, offeredTo })}
        />
        <Words size="m" soft>
          {say.pointsOfTheCatalogue(template.points.length)}
        </Words>
        <Choice
          label={say.station}
          options={WALKED}
          word={(one) => words.stop[one] ?? one}
          value={station}
          onChoose={setStation}
        />
        {stationRows(template, station, house.ownPoints).map(({ code: point, on }) => (
          <View key={point} style={styles.point}>
            <View style={styles.grow}>
              <Press
                role="checkbox"
                label={named(point)}
                chosen={on}
                onPress={() => change(togglePoint(template, point))}
              />
            </View>
            {on ? (
              <>
                <Press
                  label="↑"
                  hint={say.earlier(named(point))}
                  onPress={() => change(movePoint(template, point, -1))}
                />
                <Press label="↓" hint={say.later(named(point))} onPress={() => change(movePoint(template, point, 1))} />
              </>
            ) : null}
          </View>
        ))}
        <OwnPoints
          key={`${template.code}${station}`}
          station={station}
          points={house.ownPoints}
          onChange={(ownPoints, added) =>
            onChange({
              ...rulebook,
              house: { ...house, ownPoints },
              templates: rulebook.templates.map((one) =>
                added !== null && one.code === template.code ? togglePoint(one, added) : one,
              ),
            })
          }
        />
      </Card>
    </>
  );
}

const styles = StyleSheet.create({
  aside: { alignSelf: 'flex-start' },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
  point: { flexDirection: 'row', gap: SPACE.xs },
  grow: { flex: 1 },
});
