import { AtkinsonHyperlegibleNext_400Regular } from '@expo-google-fonts/atkinson-hyperlegible-next/400Regular';
import { AtkinsonHyperlegibleNext_700Bold } from '@expo-google-fonts/atkinson-hyperlegible-next/700Bold';
import { BarlowCondensed_500Medium } from '@expo-google-fonts/barlow-condensed/500Medium';
import { BarlowCondensed_600SemiBold } from '@expo-google-fonts/barlow-condensed/600SemiBold';
import { useFonts } from 'expo-font';
import { Suspense, useEffect } from 'react';
import { View } from 'react-native';
import { FONT } from '../../kit/tokens';
import { PaletteContext, useDevicePalette } from '../../kit/theme';
import { openWorkshop, useWorkshop } from '../../sync/workshop';
import { followHouse } from '../../words/followHouse';
import { Setup, liftOnDevice } from '../desk/lazyShapes';
import { SignIn } from '../signin/SignIn';
import { Shell } from '../../shell/Shell';
import { StorageNotice } from '../../shell/StorageNotice';
import { keepShell } from './keepShell';

/** Opens the device's store, then shows the way in or the page that was asked for. */
export function Root() {
  const palette = useDevicePalette();
  const status = useWorkshop((state) => state.status);
  const [fonts, fontProblem] = useFonts({
    [FONT.word]: AtkinsonHyperlegibleNext_400Regular,
    [FONT.wordStrong]: AtkinsonHyperlegibleNext_700Bold,
    [FONT.label]: BarlowCondensed_500Medium,
    [FONT.labelStrong]: BarlowCondensed_600SemiBold,
  });
  useEffect(() => {
    void openWorkshop(liftOnDevice);
    keepShell();
    return followHouse();
  }, []);
  const kept = useWorkshop((state) => state.kept);
  if (kept === 'newer' || kept === 'blocked')
    return (
      <PaletteContext value={palette}>
        <StorageNotice why={kept} />
      </PaletteContext>
    );
  if (status === 'opening' || (!fonts && !fontProblem))
    return <View style={{ flex: 1, backgroundColor: palette.ground }} />;
  return (
    <PaletteContext value={palette}>
      <View style={{ flex: 1, backgroundColor: palette.ground }}>
        <Suspense fallback={null}>
          {status === 'empty' ? <Setup /> : status === 'signed-out' ? <SignIn /> : <Shell />}
        </Suspense>
      </View>
    </PaletteContext>
  );
}
