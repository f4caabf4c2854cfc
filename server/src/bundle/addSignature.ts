import { AS_SAID, takes, type Writer } from '../ledger/change';
import { keepSignatures, type Sealed } from '../signing/signature';

/** Keeps a signature that was made elsewhere and came in a bundle, with the key it was made with. */
export const addSignature: Writer<Sealed> = {
  decide: () => Promise.resolve(takes(AS_SAID)),
  effect: (tx, _change, sealed) => keepSignatures(tx, [sealed]),
  repeated: (tx, taken) =>
    keepSignatures(
      tx,
      taken.map(({ body }) => body),
    ),
};
