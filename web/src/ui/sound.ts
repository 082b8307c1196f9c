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

/** One sound for all clicks: a browser has few of them. */
let clicking: AudioContext | null = null

/** A click by the ear of the foot that moves; higher on the right, so that it can be told without two ears. */
export function click(side: 'left' | 'right' | null) {
  try {
    clicking ??= new AudioContext()
    void clicking.resume()
    const now = clicking.currentTime
    const note = clicking.createOscillator()
    const loud = clicking.createGain()
    const ear = clicking.createStereoPanner()
    note.frequency.value = side === 'right' ? 1320 : side === 'left' ? 990 : 660
    ear.pan.value = side === 'right' ? 0.85 : side === 'left' ? -0.85 : 0
    loud.gain.setValueAtTime(0.25, now)
    loud.gain.exponentialRampToValueAtTime(0.001, now + 0.06)
    note.connect(loud).connect(ear).connect(clicking.destination)
    note.start(now)
    note.stop(now + 0.07)
  } catch {
    // A browser without sound still shows the beat.
  }
}

/** Says a word aloud, by a voice that the device has itself: it speaks without network. */
export function speak(word: string) {
  if (!('speechSynthesis' in window)) return
  const speech = window.speechSynthesis
  const language = document.documentElement.lang
  const voices = speech.getVoices().filter((voice) => voice.localService && voice.lang.startsWith(language))
  if (voices.length === 0) return
  speech.cancel()
  const said = new SpeechSynthesisUtterance(word)
  said.voice = voices[0] ?? null
  said.rate = 1.4
  speech.speak(said)
}
