import { readDevice, writeDevice } from '../../sync/deviceNotes';

/** Whether a wait that ends is heard too; of this device only. */
const KEY = 'weskopos.sound';
const TONE_HZ = 660;
const LASTS_S = 0.35;

/** Whether this device calls when a wait is over. */
export function soundOn(): boolean {
  return readDevice(KEY) === 'on';
}

/** Turns the call on or off, for this device. */
export function setSound(on: boolean): void {
  writeDevice(KEY, on ? 'on' : 'off');
}

/** One short, soft tone, if this device was told to sound. A browser that has not been touched yet stays silent. */
export function sound(): void {
  if (!soundOn()) return;
  const context = new AudioContext();
  const [tone, loudness] = [context.createOscillator(), context.createGain()];
  tone.frequency.value = TONE_HZ;
  loudness.gain.setValueAtTime(0.2, context.currentTime);
  loudness.gain.exponentialRampToValueAtTime(0.001, context.currentTime + LASTS_S);
  tone.connect(loudness).connect(context.destination);
  tone.onended = () => void context.close();
  tone.start();
  tone.stop(context.currentTime + LASTS_S);
}
