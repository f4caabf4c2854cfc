import type { FindingPhoto } from '@weskopos/core';
import { useRef, useState } from 'react';
import { Image, StyleSheet, View, type GestureResponderEvent } from 'react-native';
import { Card } from '../../kit/Card';
import { Choice } from '../../kit/Choice';
import { Field } from '../../kit/Field';
import { OWN_FINGER } from '../../kit/ownFinger';
import { Press } from '../../kit/Press';
import { CORNER, SPACE } from '../../kit/tokens';
import { Words } from '../../kit/Words';
import { drawMark, MARK_TOOLS, type MarkTool, type Share } from './drawMark';
import { keepPicture } from './keepPicture';
import { MarkLayer } from './MarkLayer';
import { pickFile } from '../../kit/pickFile';
import { usePhotoUri } from './usePhotoUri';
import { photo as say } from '@weskopos/words/en/pages/photo';

interface PhotoMarkerProps {
  readonly photo: FindingPhoto;
  readonly label: string;
  readonly onChange: (photo: FindingPhoto) => void;
  readonly onTakeOut: () => void;
  readonly onDone: () => void;
}

const TOOL_WORDS: Record<MarkTool, string> = { arrow: say.arrow, ring: say.ring, text: say.markText };

/** One photo, large: arrow, ring and text laid over it, and a caption. The picture itself is never changed. */
export function PhotoMarker({ photo, label, onChange, onTakeOut, onDone }: PhotoMarkerProps) {
  const uri = usePhotoUri(photo.id, 'full');
  const [tool, setTool] = useState<MarkTool>('ring');
  const [text, setText] = useState('');
  const [caption, setCaption] = useState(photo.caption);
  const [told, setTold] = useState<string | null>(null);
  const [size, setSize] = useState({ width: 0, height: 0 });
  const from = useRef<Share | null>(null);
  const at = ({ nativeEvent }: GestureResponderEvent): Share => ({
    x: nativeEvent.locationX / size.width,
    y: nativeEvent.locationY / size.height,
  });
  const release = (event: GestureResponderEvent) => {
    const mark = from.current && drawMark(tool, from.current, at(event), text);
    from.current = null;
    if (mark) onChange({ ...photo, marks: [...photo.marks, mark] });
  };
  // The marks belong to the old picture; the caption is still true.
  const retake = async () => {
    const picture = await pickFile('image/*');
    if (!picture) return;
    const kept = await keepPicture(picture);
    if ('problem' in kept) setTold(kept.problem);
    else onChange({ ...photo, id: kept.id, marks: [] });
  };
  return (
    <Card>
      {told ? <Words role="alert">{told}</Words> : null}
      <View
        aria-label={say.tapOrDragToMark(label)}
        onLayout={({ nativeEvent: { layout } }) => setSize({ width: layout.width, height: layout.height })}
        onStartShouldSetResponder={() => true}
        onMoveShouldSetResponder={() => true}
        onResponderTerminationRequest={() => false}
        onResponderGrant={(event) => {
          from.current = at(event);
        }}
        onResponderRelease={release}
        {...OWN_FINGER}
        style={styles.picture}
      >
        <Image source={uri ? { uri } : undefined} alt={label} resizeMode="cover" style={styles.image} />
        {size.width > 0 ? <MarkLayer marks={photo.marks} {...size} /> : null}
      </View>
      <Choice
        label={say.markWith}
        hideLabel
        options={MARK_TOOLS}
        word={(one) => TOOL_WORDS[one]}
        value={tool}
        onChoose={setTool}
      />
      {tool === 'text' ? (
        <Field
          label={say.textOfTheMark}
          value={text}
          onChangeText={setText}
          maxLength={80}
          help={say.thenTapWhereItGoes}
        />
      ) : (
        <Words size="s" soft>
          {say.tapTheSpotOrDrag}
        </Words>
      )}
      <Field
        label={say.caption}
        value={caption}
        onChangeText={setCaption}
        onBlur={() => caption !== photo.caption && onChange({ ...photo, caption })}
        maxLength={200}
      />
      <View style={styles.row}>
        <Press
          label={say.undoTheMark}
          disabled={photo.marks.length === 0}
          onPress={() => onChange({ ...photo, marks: photo.marks.slice(0, -1) })}
        />
        <Press label={say.takeItAgain} onPress={() => void retake()} />
        <Press label={say.takeThePhotoOut} onPress={onTakeOut} />
        <Press label={say.done} onPress={onDone} style={styles.grow} />
      </View>
    </Card>
  );
}

const styles = StyleSheet.create({
  picture: {
    aspectRatio: 4 / 3,
    borderRadius: CORNER.s,
    overflow: 'hidden',
    ...({ touchAction: 'none', cursor: 'crosshair' } as object),
  },
  image: { width: '100%', height: '100%', pointerEvents: 'none' },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
  grow: { flexGrow: 1 },
});
