import type { EndpointName } from '@weskopos/contract';
import { BUILT_IN_RULEBOOK, blankInspection } from '@weskopos/core';

const VEHICLE = '7f3f6a3e-6f7c-4f0e-9a53-0d5b9f5f0a01';
const ENVELOPE = { at: '2026-06-01T08:00:00Z', device: 'office program' } as const;

/** What may be sent, by endpoint: shown to who writes programs, and held to the shapes by a test. */
export const EXAMPLES: Readonly<Partial<Record<EndpointName, unknown>>> = {
  setup: { code: 'K7QW-2M4X', name: 'Maren', secret: '112358' },
  signIn: { name: 'Maren', secret: '112358' },
  addPerson: { name: 'Isla', secret: '246810', role: 'inspector' },
  changePerson: { state: 'suspended' },
  changeSecret: { secret: '246810', fresh: '135797' },
  giveToken: { name: 'Office program', scope: 'read' },
  putPrices: {
    from: 0,
    list: {
      currency: 'EUR',
      taxPercent: 19,
      hourRate: 80,
      parts: [{ number: 'P-100', name: 'Pad set, front', price: 42.5 }],
      times: [{ code: 'pads', minutes: 90 }],
    },
  },
  giveCalendar: { of: 'vehicle', vehicleId: VEHICLE },
  giveLink: {
    days: 30,
    letter: {
      vehicle: 'FH 07',
      from: 'Harbour workshop',
      verdict: 'It can be driven; something needs attention.',
      stops: false,
      works: [
        {
          id: '7f3f6a3e-6f7c-4f0e-9a53-0d5b9f5f0e01',
          name: 'Brake pads, front axle',
          plain: 'They press on the brake disc and wear as it brakes.',
          why: '2.5 mm are left',
          when: 'By January',
          photos: [],
        },
      ],
      cautions: [],
    },
  },
  blankKeeper: { why: 'asked for by letter' },
  audit: { kind: 'export', personId: null, before: null },
  takeImport: { keepOurs: true },
  lookAtSheet: { kind: 'readings' },
  previewRulebook: BUILT_IN_RULEBOOK,
  sendOperations: {
    operations: [
      {
        ...ENVELOPE,
        id: '7f3f6a3e-6f7c-4f0e-9a53-0d5b9f5f0b01',
        kind: 'entry.put',
        body: {
          id: '7f3f6a3e-6f7c-4f0e-9a53-0d5b9f5f0c01',
          vehicleId: VEHICLE,
          at: '2026-06-01T07:40:00Z',
          meter: 84_312,
          kind: 'fuel',
          litres: 41.5,
          full: true,
          price: null,
        },
      },
      {
        ...ENVELOPE,
        id: '7f3f6a3e-6f7c-4f0e-9a53-0d5b9f5f0b02',
        kind: 'inspection.start',
        body: blankInspection({
          id: '7f3f6a3e-6f7c-4f0e-9a53-0d5b9f5f0d01',
          vehicleId: VEHICLE,
          startedAt: '2026-06-01T08:00:00Z',
          meter: 84_320,
        }),
      },
    ],
  },
};
