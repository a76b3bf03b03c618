import { Problem } from './asking'
import type { CaptureView } from './types'

/** Most bytes of a capture; the server refuses more. */
const MOST_CAPTURE_BYTES = 2 ** 30

/** Sends a capture, with how far it is: what fetch does not tell. */
export function sendCapture(
  id: string,
  file: File,
  sent: (share: number) => void,
  signal: AbortSignal,
): Promise<CaptureView> {
  return new Promise((done, failed) => {
    if (file.size > MOST_CAPTURE_BYTES) {
      const size = file.size.toLocaleString('en')
      const most = MOST_CAPTURE_BYTES.toLocaleString('en')
      failed(
        new Problem(422, {
          detail: `${file.name}: ${size} bytes; a capture has at most ${most}. Capture a shorter time`,
        }),
      )
      return
    }
    const request = new XMLHttpRequest()
    request.open('POST', `/api/displays/${id}/capture?name=${encodeURIComponent(file.name)}`)
    request.setRequestHeader('content-type', 'application/octet-stream')
    request.responseType = 'json'
    request.upload.onprogress = (event) => sent(event.loaded / Math.max(1, event.total))
    request.onload = () =>
      request.status === 200
        ? done(request.response as CaptureView)
        : failed(new Problem(request.status, { ...(request.response as object) }))
    request.onerror = () => failed(new Problem(0, { detail: 'Hamper does not answer' }))
    request.onabort = () => failed(new Problem(0, { detail: 'It was stopped' }))
    signal.addEventListener('abort', () => request.abort())
    request.send(file)
  })
}
