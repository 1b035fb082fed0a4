const BEEP = { hertz: 880, seconds: 0.8 } as const;

/** A shake and a tone, where the browser lets them. */
export function alarm(): void {
  try {
    // before anything was tapped a browser does neither, and says so
    if (!navigator.userActivation.hasBeenActive) return;
    navigator.vibrate?.([300, 150, 300]);
    const sound = new AudioContext();
    const tone = sound.createOscillator();
    tone.frequency.value = BEEP.hertz;
    tone.connect(sound.destination);
    tone.start();
    tone.stop(sound.currentTime + BEEP.seconds);
    tone.onended = () => void sound.close();
  } catch {
    // it is seen all the same
  }
}
