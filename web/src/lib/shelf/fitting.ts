/** Larger than this on a side, a picture is made smaller here before it is sent. */
const LONGEST = 2400;
/** A file of fewer bytes is sent as it is, unless it has very many pixels. */
const SMALL = 2 << 20;

/** A picture fit to send: a camera's large one made smaller by the browser, which has the memory for it;
 *  any other as it is. What the browser cannot read is left to the server to judge. */
export const fitting = async (file: File): Promise<Blob> => {
  try {
    const picture = await createImageBitmap(file);
    const longest = Math.max(picture.width, picture.height);
    if (longest <= LONGEST && file.size <= SMALL) return file;
    const scale = Math.min(1, LONGEST / longest);
    const canvas = new OffscreenCanvas(Math.round(picture.width * scale), Math.round(picture.height * scale));
    canvas.getContext('2d')?.drawImage(picture, 0, 0, canvas.width, canvas.height);
    picture.close();
    return await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.9 });
  } catch {
    return file;
  }
};
