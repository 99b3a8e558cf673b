/** Longest sides and qualities that are tried one after the other until a picture is small enough. */
const SIDES = [1600, 1280, 1000, 800, 600] as const;
const QUALITIES = [0.85, 0.7, 0.55] as const;

/**
 * A picture drawn anew as JPEG, as base64: what a camera wrote beside it does not come along.
 * @param mostBytes what it may take up
 * @throws Error where the file is no picture, or no way of drawing it is small enough
 */
export async function asPlainJpeg(file: Blob, mostBytes: number): Promise<string> {
  const bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' });
  try {
    for (const side of SIDES) {
      const scale = Math.min(1, side / Math.max(bitmap.width, bitmap.height));
      const canvas = document.createElement('canvas');
      canvas.width = Math.max(1, Math.round(bitmap.width * scale));
      canvas.height = Math.max(1, Math.round(bitmap.height * scale));
      const context = canvas.getContext('2d');
      if (!context) throw new Error('no canvas');
      // What is see-through in the file is paper.
      context.fillStyle = '#ffffff';
      context.fillRect(0, 0, canvas.width, canvas.height);
      context.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
      for (const quality of QUALITIES) {
        const letters = canvas.toDataURL('image/jpeg', quality).split(',')[1] ?? '';
        if (letters !== '' && (letters.length / 4) * 3 <= mostBytes) return letters;
      }
    }
  } finally {
    bitmap.close();
  }
  throw new Error('too large');
}

/** What an answer holds, as base64. */
export async function asBase64(answer: Response): Promise<string> {
  const bytes = new Uint8Array(await answer.arrayBuffer());
  return btoa(Array.from(bytes, (byte) => String.fromCharCode(byte)).join(''));
}
