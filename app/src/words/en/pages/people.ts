/** Words of the views in people. */
export const people = {
  addAPerson: 'Add a person',
  role: 'Role',
  add: 'Add',
};
