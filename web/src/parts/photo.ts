/** Longer side of a photo that is sent (px). */
const LONGEST_SIDE = 1600
const QUALITY = 0.8

/** A photo made small enough to send; one that cannot be read is sent as it is, and refused there. */
export async function shrunk(file: File): Promise<Blob> {
  const picture = await createImageBitmap(file).catch(() => undefined)
  if (!picture) {
    return file
  }
  const scale = Math.min(1, LONGEST_SIDE / Math.max(picture.width, picture.height))
  const canvas = document.createElement('canvas')
  canvas.width = Math.max(1, Math.round(picture.width * scale))
  canvas.height = Math.max(1, Math.round(picture.height * scale))
  canvas.getContext('2d')!.drawImage(picture, 0, 0, canvas.width, canvas.height)
  picture.close()
  const blob = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/jpeg', QUALITY))
  return blob ?? file
}
