/** Words of the views in sticker. */
export const sticker = {
  windscreenSticker: 'Windscreen sticker',
  theSpecSheetTellsNo: 'The spec sheet tells no intervals.',
  opensThisVehiclesLifeSheet: 'Opens this vehicle',
  bayCard: 'Bay card',
  inTheBay: (fleetCode: string) => `${fleetCode}, in the bay`,
  theKeeperSays: (complaint: string) => `The keeper says: “${complaint}”`,
  socket: (socket: string) => `socket ${socket}`,
  nothingIsOpen: 'Nothing is open.',
  openCloseBeforeItLeaves: 'Open, close before it leaves:',
  since: (part: string, dayAndTime: string) => `${part} since ${dayAndTime}`,
};
