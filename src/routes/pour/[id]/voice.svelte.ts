import { device } from '$lib/ui/device';

const KEYS = { speech: 'nerite-bench-speech', sounds: 'nerite-bench-sounds', foot: 'nerite-bench-foot' } as const;

/** A key as it is pressed, so that a foot switch can be told by what it types: "F13", "PageDown". */
export const keyOf = ({ code, key }: Pick<KeyboardEvent, 'code' | 'key'>): string => code || key;

/**
 * What the bench says and sounds, with the browser's own voice; each can be turned off on this device. What was said last
 * stays to be read, heard or not.
 */
class Voice {
  speech = $state(device.read(KEYS.speech) !== 'off');
  sounds = $state(device.read(KEYS.sounds) !== 'off');
  /** The key a foot switch types; undefined where none was learned. */
  foot = $state(device.read(KEYS.foot) ?? undefined);
  /** What was said last. */
  caption = $state('');
  #audio: AudioContext | undefined;

  /** Whether this browser has a voice at all. */
  readonly able = 'speechSynthesis' in globalThis;

  turn(which: 'speech' | 'sounds', on: boolean): void {
    this[which] = on;
    device.keep(KEYS[which], on ? undefined : 'off');
    if (which === 'speech' && !on && this.able) speechSynthesis.cancel();
  }

  learn(key: string | undefined): void {
    this.foot = key;
    device.keep(KEYS.foot, key);
  }

  /** Says a sentence in the place of what is still being said. @param caption what of it stands nowhere else on the screen */
  say(text: string, caption: string): void {
    this.caption = caption;
    if (!this.speech || !this.able) return;
    speechSynthesis.cancel();
    const said = new SpeechSynthesisUtterance(text);
    said.lang = 'en';
    speechSynthesis.speak(said);
  }

  /** A tone. @param hz pitch @param seconds how long */
  tone(hz: number, seconds = 0.12, loud = 0.12): void {
    if (!this.sounds || !('AudioContext' in globalThis)) return;
    // a browser lets no page sound before it was touched; by the first press it may
    const audio = (this.#audio ??= new AudioContext());
    if (audio.state === 'suspended') void audio.resume().catch(() => undefined);
    const [oscillator, gain] = [audio.createOscillator(), audio.createGain()];
    const now = audio.currentTime;
    oscillator.frequency.value = hz;
    gain.gain.setValueAtTime(loud, now);
    gain.gain.exponentialRampToValueAtTime(0.001, now + seconds);
    oscillator.connect(gain).connect(audio.destination);
    oscillator.start(now);
    oscillator.stop(now + seconds);
  }

  /** Something wants to be heard over a fan: two tones, rising. */
  call(): void {
    this.tone(660, 0.18, 0.2);
    setTimeout(() => this.tone(880, 0.25, 0.2), 190);
  }

  quiet(): void {
    if (this.able) speechSynthesis.cancel();
  }
}

export const voice = new Voice();
