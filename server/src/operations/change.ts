import type { Operation, Role } from '@weskopos/contract';

/** Changes the server makes itself; journalled and applied like those of a device. */
export type OwnOperation =
  | {
      readonly id: string;
      readonly at: string;
      readonly device: string;
      readonly kind: 'person.add';
      readonly body: { readonly id: string; readonly name: string; readonly role: Role; readonly secretHash: string };
    }
  | {
      readonly id: string;
      readonly at: string;
      readonly device: string;
      readonly kind: 'photo.add';
      readonly body: {
        readonly id: string;
        readonly sha256: string;
        readonly width: number;
        readonly height: number;
        readonly bytes: number;
      };
    };

/** One line of the journal: the change, who made it, and when it came in. `by` is null only for the first lead. */
export interface Change {
  readonly operation: Operation | OwnOperation;
  readonly by: string | null;
  readonly receivedAt: string;
}
