import { View } from 'react-native';
import Svg, { Path } from 'react-native-svg';
import { usePalette } from '../../kit/theme';
import { Label } from '../../kit/Words';
import { walk as say } from '@weskopos/words/en/pages/walk';

/** The mark of the route's next stop on the line of stops; with what the order saves where that is worth a word. */
export function NextByRoute({ saves }: { readonly saves: string }) {
  const palette = usePalette();
  return (
    <>
      <View style={{ position: 'absolute', left: 0, top: 14 }}>
        <Svg width={12} height={16} aria-hidden>
          <Path d="M0 0L10 8L0 16Z" fill={palette.forecast} />
        </Svg>
      </View>
      {saves ? (
        <Label size="s" colour={palette.forecast}>
          {say.less(saves)}
        </Label>
      ) : null}
    </>
  );
}
