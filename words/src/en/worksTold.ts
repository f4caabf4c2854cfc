import type { Urgency, WorkCode, WorkStepKind } from '@weskopos/core';
import type { WorkState } from '@weskopos/core/works/worksOf';

/** What is told of works: on their page, on paper, to a keeper. */
export const worksTold = {
  part: { pads: 'Brake pads', shoes: 'Brake shoes', discs: 'Brake discs' },
  putRight: (point: string) => `${point}: put right`,
  urgency: {
    'not-driven': 'Not to be driven before it is done',
    'before-next': 'Before the next long drive',
    'next-visit': 'At the next visit',
    watch: 'Watched',
  } satisfies Record<Exclude<Urgency, 'by'>, string>,
  between: (from: string, to: string) => `Between ${from} and ${to}`,
  by: (day: string) => `By ${day}`,
  due: (day: string) => `falls due ${day}`,
  mayRunOut: (what: string, from: string) => `${what} may be at its limit from ${from}`,
  boltsAgain: (from: string, to: string) => `torqued again between ${from} and ${to}`,
  found: (what: string, grade: string, day: string) => `${what} ${grade}, found ${day}`,
  plainGrade: { advisory: 'needs attention', fail: 'is not in order' },
  andMore: (count: number) => `and ${count} more`,
  state: {
    proposed: 'on the list',
    put: 'put to the keeper',
    agreed: 'agreed',
    declined: 'not now',
    asked: 'asked back',
    planned: 'planned',
    done: 'done',
    withdrawn: 'withdrawn',
  } satisfies Record<WorkState, string>,
  plannedFor: (day: string) => `planned ${day}`,
  step: {
    put: 'Put to the keeper',
    agreed: 'Agreed',
    declined: 'Not now',
    asked: 'Asked back',
    planned: 'Planned',
    done: 'Done',
    withdrawn: 'Withdrawn',
    again: 'Taken up again',
  } satisfies Record<WorkStepKind, string>,
  by_: (words: string, who: string) => `${words}, by ${who}`,

  /** To a keeper. */
  verdict: {
    stops: 'Please do not drive it before the first of these is done.',
    fail: 'Something has to be put right soon.',
    advisory: 'It can be driven; something needs attention.',
    pass: 'It is in order; some work comes up.',
  },
  caution:
    'What the maker and the law of the place ask for holds, whatever is agreed here. If it drives, brakes or sounds unlike before, do not wait for the appointment.',
  plain: {
    pads: 'Brake pads press on the disc to slow the vehicle. They wear down as it brakes.',
    shoes: 'Brake shoes press on the drum to slow the vehicle. They wear down as it brakes.',
    discs: 'Brake discs are what the pads press on. Below their least thickness they get too hot and can crack.',
    tyres: 'Tread leads water away and grips. Worn or damaged tyres brake later, above all in the wet.',
    'engine-oil': 'Oil keeps the engine from wearing. It ages with distance and time.',
    'oil-filter': 'The filter keeps dirt out of the oil. It is renewed with it.',
    'air-filter': 'The engine breathes through it. A clogged one costs power and fuel.',
    'cabin-filter': 'The air you breathe comes through it.',
    'fuel-filter': 'It keeps dirt and water out of the injection.',
    'spark-plugs': 'They light the fuel. Worn ones start badly and burn unevenly.',
    coolant: 'It keeps the engine from freezing and from boiling, and from rust inside.',
    'brake-fluid':
      'It carries the force of your foot to the brakes. It takes up water, and can boil on a long descent.',
    'timing-belt': 'It drives the valves. If it breaks, the engine is most often damaged.',
    'auxiliary-belt': 'It drives alternator, pump and more. If it breaks you are left standing.',
    battery: 'It starts the engine. A weak one fails first in the cold.',
    'key-cell': 'The small battery in the key.',
    wipers: 'Worn blades smear where you look.',
    rotation: 'Tyres change places so that they wear evenly.',
    alignment: 'Wheels out of line eat tyres and pull to one side.',
    greasing: 'Joints are kept from wearing dry.',
    'wheel-bolts': 'After wheels were off, bolts are torqued once more.',
  } satisfies Partial<Record<WorkCode, string>>,
};
