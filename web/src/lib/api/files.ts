import type { Reply } from './ask.svelte';
import type { Problem } from './client';

const away: Problem = { detail: 'The server is not answering.' };

const parsed = (text: string): unknown => {
  try {
    return JSON.parse(text) as unknown;
  } catch {
    return undefined;
  }
};

/** Sends a file as it is, telling how much of it has gone: the server reads as it works, so that is how
 *  much is done. */
export const sendFile = <T>(
  path: string,
  file: Blob,
  contentType: string,
  onshare: (share: number) => void
): Promise<Reply<T>> =>
  new Promise((resolve) => {
    const request = new XMLHttpRequest();
    request.open('POST', path);
    request.setRequestHeader('Content-Type', contentType);
    request.upload.onprogress = (e) => onshare(e.lengthComputable ? e.loaded / e.total : 0);
    request.onerror = () => resolve({ problem: away, status: 0 });
    request.onload = () => {
      const said = parsed(request.responseText);
      const done = request.status >= 200 && request.status < 300;
      resolve(
        done
          ? { data: said as T, status: request.status }
          : { problem: said as Problem | undefined, status: request.status }
      );
    };
    request.send(file);
  });

/** Fetches a file, telling how many bytes have come; one that breaks off is no file. */
export const fetchFile = async (path: string, onbytes: (bytes: number) => void): Promise<Reply<Blob>> => {
  try {
    const answer = await fetch(path);
    if (!answer.ok || !answer.body)
      return { problem: parsed(await answer.text()) as Problem | undefined, status: answer.status };
    const pieces: BlobPart[] = [];
    let bytes = 0;
    const reader = answer.body.getReader();
    for (let next = await reader.read(); !next.done; next = await reader.read()) {
      pieces.push(next.value);
      onbytes((bytes += next.value.length));
    }
    return { data: new Blob(pieces, { type: 'application/json' }), status: answer.status };
  } catch {
    return { problem: away, status: 0 };
  }
};
