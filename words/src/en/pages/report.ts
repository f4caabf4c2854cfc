/** Words of the views in report. */
export const report = {
  openedAndClosed: 'Opened and closed',
  leftOpen: 'left open',
  signedByAWorkshopLead: (over: string) => `Signed by a workshop lead over what is open: ${over}`,
  level: (amount: string) => `level ${amount}`,
  fastenersIn: (fasteners: number) => `${fasteners} fasteners in`,
  washer: (washer: string) => `washer ${washer}`,
  oldSealSeen: 'old seal seen',
  onTheGround: 'on the ground',
  onTheMagnet: (debris: string) => `on the magnet: ${debris}`,
  marked: 'marked',
  partIn: (part: string) => `in went ${part}`,
  stillOpenFromEarlier: 'Still open from earlier visits',
  openSince: (point: string, grade: string, day: string) => `${point}: ${grade}, seen ${day}.`,
  amend: 'Amend',
  amended: 'Amended since it was signed',
  signedAs: (was: string, now: string) =>
    was === now
      ? `Signed as ${was.toLowerCase()}, and still that.`
      : `Signed as ${was.toLowerCase()}, now ${now.toLowerCase()}.`,
  wasNow: (was: string, now: string) => `Signed: ${was || 'nothing'}. Now: ${now || 'nothing'}.`,
  amendedBy: (by: string, when: string, why: string) => `${by}, ${when}: “${why}”`,
  notYetSent: 'Not yet sent.',
  notSeen: 'Not seen',
  asItCame: 'As it came',
  theKeeperSays: (complaint: string) => `The keeper says: “${complaint}”`,
  signedBy: (part: string, dayAndTime: string) => `Signed by ${part}, ${dayAndTime}`,
  broughtFrom: (source: string) => `Brought in from ${source}: nobody walked it here.`,
  notSignedYetThisIs: 'Not signed yet: this is a draft.',
  limitSheetRulesVersionHouse: (
    code: string,
    version: number,
    version2: number,
    part: string,
    amount: string,
    law: string,
  ) =>
    `Limit sheet ${code} ${version}, rules version ${version2}. House rules: ${part}; lowest temperature to expect ${amount}. ${law}`,
  seal: 'Signature',
  sealTold: (key: string) =>
    `All of this visit was signed as one text with the workshop’s key ${key}. Whoever has the public key can check that nothing in it was changed since.`,
  sealHash: (hash: string) => `SHA-256 ${hash}`,
  sealValue: (value: string) => `Ed25519 ${value}`,
  codeVerdict: (grade: string, fail: number, advisory: number, pass: number, notSeen: number) =>
    `${grade}: ${fail} fail, ${advisory} advisory, ${pass} pass, ${notSeen} not seen`,
  code: 'This visit as text: verdict, meter, date, what falls due and the hash it was signed by',
  codeHelp: 'Any camera reads this code as text, without a network.',
};
