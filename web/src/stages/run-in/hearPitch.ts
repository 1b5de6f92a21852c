import { pitchOf } from '@zesty/core/mount'

/** Milliseconds that are listened to, and points of sound that are looked at together. */
const LISTEN_MS = 4000
const POINTS = 8192
const EVERY_MS = 120

/** So many points become one: a belt hums low, and the search takes the square of their number. */
const EACH = 4
const thinned = (samples: Float32Array): Float32Array =>
  Float32Array.from({ length: samples.length / EACH }, (_, i) => {
    let sum = 0
    for (let k = 0; k < EACH; k += 1) sum += samples[i * EACH + k] ?? 0
    return sum / EACH
  })

/** The note that is heard most clearly within a few seconds, in hertz; or why none was. */
export async function hearPitch(): Promise<number | string> {
  // A browser that gives no microphone has no such list at all, whatever its types say.
  const devices = (navigator as { mediaDevices?: MediaDevices }).mediaDevices
  if (!devices) return 'This browser gives no microphone here. Type what another device hears.'
  try {
    const stream = await devices.getUserMedia({
      audio: { echoCancellation: false, noiseSuppression: false, autoGainControl: false },
    })
    const context = new AudioContext()
    const analyser = context.createAnalyser()
    analyser.fftSize = POINTS
    context.createMediaStreamSource(stream).connect(analyser)
    const samples = new Float32Array(POINTS)
    const heard: number[] = []
    const until = performance.now() + LISTEN_MS
    while (performance.now() < until) {
      await new Promise((resolve) => setTimeout(resolve, EVERY_MS))
      analyser.getFloatTimeDomainData(samples)
      const hz = pitchOf(thinned(samples), context.sampleRate / EACH)
      if (hz !== undefined) heard.push(hz)
    }
    stream.getTracks().forEach((track) => track.stop())
    await context.close()
    const middle = heard.sort((a, b) => a - b)[heard.length >> 1]
    return middle ?? 'No clear note was heard. One belt, plucked in the middle of its span, the microphone a hand away.'
  } catch {
    return 'The microphone was not given. Type what another device hears.'
  }
}
