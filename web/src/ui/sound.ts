// Short tones, where a browser can make them.

/** Sounds one tone after the other, each of this many hertz. */
export function tones(...pitches: number[]) {
  try {
    const sound = new AudioContext()
    const loud = sound.createGain()
    loud.gain.value = 0.2
    loud.connect(sound.destination)
    pitches.forEach((pitch, i) => {
      const note = sound.createOscillator()
      note.frequency.value = pitch
      note.connect(loud)
      note.start(sound.currentTime + i * 0.22)
      note.stop(sound.currentTime + i * 0.22 + 0.18)
      if (i === pitches.length - 1) note.onended = () => void sound.close()
    })
  } catch {
    // A browser without sound still shows what it would have sounded for.
  }
}
