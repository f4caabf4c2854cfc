import {
  ACCESS_REASONS,
  cataloguePoint,
  pointKey,
  type AccessReason,
  type PointRef,
  type WalkStep,
} from '@weskopos/core';
import Camera from 'lucide-react-native/icons/camera';
import Undo from 'lucide-react-native/icons/undo-2';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Choice } from '../../kit/Choice';
import { Field } from '../../kit/Field';
import { Press } from '../../kit/Press';
import { SPACE } from '../../kit/tokens';
import { usePalette } from '../../kit/theme';
import { Words } from '../../kit/Words';
import { recordPhoto } from '../../sync/workshop';
import { shrinkPhoto } from '../../workers/shrinkPhoto';
import { words } from '../../words/en';
import { pickPicture } from './pickFile';
import { putFinding } from './findings';
import { wordChange } from './readings';
import type { Background } from './visitContext';
import { WordPicker } from './WordPicker';

interface StepActionsProps {
  readonly step: WalkStep;
  readonly background: Background;
  readonly target: { readonly vehicleId: string; readonly visitId: string };
  readonly onUndo: (() => void) | null;
}

const PHOTO_REFUSED = {
  'too-large': 'The picture was not taken: it is over 30 MB. The finding is kept.',
  'not-a-picture': 'The picture was not taken: this file is not a picture that can be read. The finding is kept.',
  'too-many-pixels':
    'The picture was not taken: it has more than 60 million pixels or a side over 16,000. The finding is kept.',
} as const;

type Panel = 'words' | 'note' | 'access' | null;

/** What every point takes besides its measure: words, photo, note, and that it could not be seen. */
export function StepActions({ step, background, target, onUndo }: StepActionsProps) {
  const palette = usePalette();
  const [panel, setPanel] = useState<Panel>(null);
  const [which, setWhich] = useState(0);
  const [photoNote, setPhotoNote] = useState<string | null>(null);
  const ref = (step.points[which] ?? step.points[0]) as PointRef;
  const point = cataloguePoint(ref.point);
  const finding = background.grading.standing.get(pointKey(ref.point, ref.place));
  const toggle = (one: Panel) => setPanel(panel === one ? null : one);

  const takePhoto = async () => {
    setPhotoNote(null);
    const file = await pickPicture();
    if (!file) return;
    setPhotoNote('Shrinking the picture…');
    const shrunk = await shrinkPhoto(file);
    if ('refusal' in shrunk) return setPhotoNote(PHOTO_REFUSED[shrunk.refusal]);
    const id = await recordPhoto(shrunk.blob);
    await putFinding(target, ref, (before) => ({ photos: [...(before?.photos ?? []), id] }));
    setPhotoNote(null);
  };
  const reach = (access: 'partly' | 'not-reached', accessReason: AccessReason) => {
    for (const one of step.points) void putFinding(target, one, () => ({ access, accessReason }));
    setPanel(null);
  };

  return (
    <View style={styles.actions}>
      {photoNote ? <Words role="alert">{photoNote}</Words> : null}
      {panel && panel !== 'access' && step.points.length > 1 ? (
        <Choice
          label="For"
          options={step.points.map((_, index) => String(index))}
          word={(index) => words.point[(step.points[Number(index)] ?? ref).point]}
          value={String(which)}
          onChoose={(index) => setWhich(Number(index))}
        />
      ) : null}
      {panel === 'words' && point.vocabulary ? (
        <WordPicker
          vocabulary={point.vocabulary}
          finding={finding}
          onWord={(word) => void putFinding(target, ref, (before) => wordChange(before, word))}
        />
      ) : null}
      {panel === 'note' ? (
        <Note
          key={ref.point}
          note={finding?.note ?? ''}
          onNote={(note) => void putFinding(target, ref, () => ({ note }))}
        />
      ) : null}
      {panel === 'access' ? (
        <>
          <Choice
            label="Not reached, because"
            options={ACCESS_REASONS}
            word={(reason) => words.accessReason[reason]}
            value={finding?.access === 'not-reached' ? finding.accessReason : null}
            onChoose={(reason) => reach('not-reached', reason)}
          />
          <Choice
            label="Only partly seen, because"
            options={ACCESS_REASONS}
            word={(reason) => words.accessReason[reason]}
            value={finding?.access === 'partly' ? finding.accessReason : null}
            onChoose={(reason) => reach('partly', reason)}
          />
        </>
      ) : null}
      <View style={styles.row}>
        <Press
          label=""
          hint="Undo the last change"
          icon={<Undo color={onUndo ? palette.ink : palette.soft} size={22} />}
          disabled={!onUndo}
          onPress={() => onUndo?.()}
          style={styles.tight}
        />
        <Press
          label=""
          hint="Photo"
          icon={<Camera color={palette.ink} size={22} />}
          onPress={() => void takePhoto()}
          style={styles.tight}
        />
        {point.vocabulary && point.kind === 'measure' ? (
          <Press label="Words" expanded={panel === 'words'} onPress={() => toggle('words')} style={styles.tight} />
        ) : null}
        <Press label="Note" expanded={panel === 'note'} onPress={() => toggle('note')} style={styles.tight} />
        <Press label="Not reached" expanded={panel === 'access'} onPress={() => toggle('access')} style={styles.wide} />
      </View>
    </View>
  );
}

function Note({ note, onNote }: { readonly note: string; readonly onNote: (note: string) => void }) {
  const [text, setText] = useState(note);
  return (
    <Field
      label="Note"
      value={text}
      onChangeText={setText}
      onBlur={() => text !== note && onNote(text)}
      multiline
      maxLength={2000}
    />
  );
}

const styles = StyleSheet.create({
  actions: { gap: SPACE.s },
  row: { flexDirection: 'row', gap: SPACE.xs },
  tight: { paddingHorizontal: SPACE.xs, flexGrow: 1 },
  wide: { paddingHorizontal: SPACE.xs, flexGrow: 2 },
});
