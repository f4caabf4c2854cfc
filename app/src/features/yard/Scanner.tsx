import type { YardEntry } from '@weskopos/contract';
import { useRouter } from 'expo-router';
import readQr from 'jsqr';
import { createElement, useEffect, useRef, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Card } from '../../kit/Card';
import { Press } from '../../kit/Press';
import { CORNER } from '../../kit/tokens';
import { Words } from '../../kit/Words';
import { yard as say } from '@weskopos/words/en/pages/yard';
import { useCamera } from '../photo/useCamera';
import { vehicleOnSticker } from './sticker';

/** A hand is not steadier than this, ms; and a code is found in a picture no wider than this, px. */
const LOOK_EVERY_MS = 200;
const WIDEST = 640;

interface ScannerProps {
  readonly entries: readonly YardEntry[];
  readonly onClose: () => void;
}

/** Reads a windscreen sticker's code with the camera and opens its vehicle; says what else it saw. */
export function Scanner({ entries, onClose }: ScannerProps) {
  const router = useRouter();
  const [told, setTold] = useState<string>(say.holdStill);
  const { video, ready } = useCamera(() => setTold(say.noCamera));
  const known = useRef(entries);
  useEffect(() => {
    known.current = entries;
  });
  useEffect(() => {
    if (!ready) return undefined;
    const canvas = document.createElement('canvas');
    const paper = canvas.getContext('2d', { willReadFrequently: true });
    const look = () => {
      const frame = video.current;
      if (!frame || !paper || frame.videoWidth === 0) return;
      const scale = Math.min(1, WIDEST / frame.videoWidth);
      [canvas.width, canvas.height] = [frame.videoWidth * scale, frame.videoHeight * scale];
      paper.drawImage(frame, 0, 0, canvas.width, canvas.height);
      const { data, width, height } = paper.getImageData(0, 0, canvas.width, canvas.height);
      const code = readQr(data, width, height);
      if (!code) return;
      const id = vehicleOnSticker(code.data);
      if (id === null) setTold(say.notOurs);
      else if (known.current.some(({ vehicle }) => vehicle.id === id)) router.push(`/vehicle/${id}`);
      else setTold(say.unknownVehicle);
    };
    const timer = setInterval(look, LOOK_EVERY_MS);
    return () => clearInterval(timer);
  }, [ready, video, router]);
  return (
    <Card>
      <View style={styles.frame}>
        {createElement('video', {
          ref: video,
          muted: true,
          playsInline: true,
          'aria-label': say.scan,
          style: { width: '100%', height: '100%', objectFit: 'cover' },
        })}
      </View>
      <Words role="status">{told}</Words>
      <Press label={say.close} onPress={onClose} />
    </Card>
  );
}

const styles = StyleSheet.create({
  frame: { aspectRatio: 4 / 3, borderRadius: CORNER.s, overflow: 'hidden', backgroundColor: '#000' },
});
