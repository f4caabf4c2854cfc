import { FLUID_LOOKS, whichFluid, type Fluid, type FluidLook, entryOf, typedKeys } from '@weskopos/core';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Card } from '../../../kit/Card';
import { Choice } from '../../../kit/Choice';
import { Press } from '../../../kit/Press';
import { SPACE } from '../../../kit/tokens';
import { Words } from '../../../kit/Words';
import { words } from '@weskopos/words/en';
import { capital } from '@weskopos/words/show';
import { controls as say } from '@weskopos/words/en/pages/controls';

const QUESTIONS = typedKeys(FLUID_LOOKS);
const looksOf = (question: keyof FluidLook): readonly string[] => FLUID_LOOKS[question];
const NOTHING: FluidLook = { colour: null, feel: null, smell: null, where: null };
/** More guesses than this are no help. */
const MOST_GUESSES = 3;

/** From its looks to a good guess of what leaks, with why. Fuel and acid are not smelt at from near. */
export function WhichFluid({ onFluid }: { readonly onFluid: (fluid: Fluid) => void }) {
  const [look, setLook] = useState(NOTHING);
  const guesses = whichFluid(look).slice(0, MOST_GUESSES);
  const spell = (sign: string) =>
    QUESTIONS.map((question) => entryOf<string>(words.look[question], sign)).find(Boolean) ?? sign;
  return (
    <Card>
      {QUESTIONS.map((question) => (
        <Choice
          key={question}
          label={words.lookQuestion[question]}
          options={looksOf(question)}
          word={(sign) => capital(entryOf<string>(words.look[question], sign) ?? sign)}
          value={look[question]}
          onChoose={(sign) => setLook((before) => ({ ...before, [question]: before[question] === sign ? null : sign }))}
        />
      ))}
      {guesses.length === 0 ? (
        <Words size="m" soft>
          {say.tellWhatYouSeeWipe}
        </Words>
      ) : null}
      <View style={styles.guesses}>
        {guesses.map(({ fluid, because }) => (
          <Press
            key={fluid}
            label={`${capital(words.fluid[fluid])}: ${because.map(spell).join(', ')}`}
            onPress={() => onFluid(fluid)}
          />
        ))}
      </View>
    </Card>
  );
}

const styles = StyleSheet.create({ guesses: { gap: SPACE.s } });
