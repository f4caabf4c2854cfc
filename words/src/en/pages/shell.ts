/** Words of the views in shell. */
export const shell = {
  notOnThisDevice: 'Not on this device',
  thisVehicleOrVisitIs:
    'This vehicle or visit is not known here. If it was added on another device, connect once and it appears in the yard.',
  oneMoment: 'One moment',
  itsLifeIsFetched: 'Its life is being fetched.',
  back: 'Back',
  toFoot: 'To what is done here',
};
