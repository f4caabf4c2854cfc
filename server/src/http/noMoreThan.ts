import { Transform } from 'node:stream';

/** Lets so many bytes through and fails with more. @param refusal why more is not taken */
export function noMoreThan(most: number, refusal: () => Error): Transform {
  let bytes = 0;
  return new Transform({
    transform(chunk: Buffer, _encoding, done) {
      bytes += chunk.length;
      done(bytes > most ? refusal() : null, chunk);
    },
  });
}
