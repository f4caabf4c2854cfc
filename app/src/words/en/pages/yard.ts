/** Words of the views in yard. */
export const yard = {
  yard: 'Yard',
  find: 'Find',
  fleetCodePlateMake: 'fleet code, plate, make',
  noVehiclesYet: 'No vehicles yet',
  addTheFirstOneIts: 'Add the first one: its fleet code and how its axles are made are enough to begin an inspection.',
  halfDone: 'Half done',
  vehicles: 'Vehicles',
  signOut: 'Sign out',
  lifeSheet: (fleetCode: string) => `${fleetCode}, life sheet`,
  halfDoneSince: (dayAndTime: string) => `Half done since ${dayAndTime}`,
  goOnWithTheVisit: (fleetCode: string) => `Go on with the visit of ${fleetCode}`,
  beginAVisitOf: (fleetCode: string) => `Begin a visit of ${fleetCode}`,
};
