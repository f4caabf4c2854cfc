import type { Visit } from '@weskopos/contract';
import { HOUSE_QUESTIONS, looseEnds, type EndProof } from '@weskopos/core';
import { endTitle } from '../endTitle';
import { amount, houseSchool, inSentence } from '../show';
import { told } from '../tongue';
import { visitCode } from '../visitCode';
import { line, lines } from './blocks';
import type { PaperBlock } from './paper';
import type { Report, ReportGiven } from './reportGiven';

/** What was opened and how it was closed; over what a lead signed, and why. */
export function endsOf(visit: Visit, { vehicle, inspection }: Report, toKeeper: boolean): PaperBlock[] {
  const { paper } = told;
  const over = inspection.signedOver === null ? '' : paper.signedOver(inspection.signedOver);
  const ends = toKeeper ? [] : looseEnds(visit.acts);
  return lines(paper.opened, [
    ...ends.map((end) =>
      line(`${endTitle(end, vehicle)}: ${end.closed ? closedWords(end.closed.proof) : paper.leftOpen}.`),
    ),
    line(over, 'strong'),
  ]);
}

function closedWords(proof: EndProof): string {
  const { closed } = told.paper;
  const said = [
    proof.torqueNm !== null && amount('torque', proof.torqueNm),
    proof.litres !== null && amount('volume', proof.litres),
    proof.level !== null && closed.level(amount('level', proof.level)),
    proof.fasteners !== null && closed.fasteners(proof.fasteners),
    proof.washer && closed.washer(proof.washer),
    proof.oldSealSeen && closed.oldSealSeen,
    proof.onGround && closed.onGround,
    proof.angleDone && closed.angleDone,
    proof.renewed && closed.renewed,
    proof.primed && closed.primed,
    proof.debris && closed.onMagnet[proof.debris],
    proof.marked && closed.marked,
    proof.partNumber && closed.partIn(proof.partNumber),
    ...proof.kept.map((code) => closed.doubt[code]),
  ].filter(Boolean);
  return [closed.closed, ...said].join(', ');
}

/** By which limits and house rules it was graded, and what it does not replace. */
export function rulesOf({ rules: { sheet, house, version } }: Report, toKeeper: boolean): PaperBlock[] {
  const schools = HOUSE_QUESTIONS.map(
    (question) => `${inSentence(told.house[question])}: ${houseSchool(house, question)}`,
  );
  const rules = told.paper.rules(
    sheet.code,
    sheet.version,
    version,
    schools.join('; '),
    amount('freeze', house.designLowC),
  );
  return [
    ...(toKeeper ? [] : [{ kind: 'small' as const, text: rules }]),
    { kind: 'small', text: [told.paper.caution, toKeeper ? told.worksTold.caution : ''].filter(Boolean).join(' ') },
  ];
}

/** What a signature can be checked by, elsewhere and by other programs; and the visit as text in a code. */
export function sealOf({ report: { vehicle, verdict }, visit, dues }: ReportGiven): PaperBlock[] {
  const { paper } = told;
  if (!visit.seal) return [];
  const { hash, key, value } = visit.seal;
  return [
    {
      kind: 'code',
      title: paper.seal,
      lines: [line(paper.sealTold(key), 'soft'), line(paper.hash(hash), 'soft'), line(paper.value(value), 'soft')],
      code: visitCode(vehicle, visit, verdict, dues),
      label: paper.code,
      help: paper.codeHelp,
    },
  ];
}
