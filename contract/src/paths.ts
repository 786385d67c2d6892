/**
 * Method and path of every route, apart from the schemas: the app calls by these alone,
 * and need not load the validation of everything before its first screen.
 */
export const paths = {
  getHealth: ['get', '/api/health'],
  getReady: ['get', '/api/ready'],
  getHousehold: ['get', '/api/household'],
  editHousehold: ['put', '/api/household'],
  getCatalogue: ['get', '/api/catalogue'],
  listMoments: ['get', '/api/moments'],
  createMoment: ['post', '/api/moments'],
  editMoment: ['put', '/api/moments/:id'],
  listTanks: ['get', '/api/tanks'],
  createTank: ['post', '/api/tanks'],
  editTank: ['put', '/api/tanks/:id'],
  listGroups: ['get', '/api/groups'],
  createGroup: ['post', '/api/groups'],
  editGroup: ['put', '/api/groups/:id'],
  addGroupEvent: ['post', '/api/groups/:id/events'],
  editDiet: ['put', '/api/groups/:id/diet'],
  listFoods: ['get', '/api/foods'],
  createFood: ['post', '/api/foods'],
  editFood: ['put', '/api/foods/:id'],
  addLot: ['post', '/api/foods/:id/lots'],
  editLot: ['put', '/api/lots/:id'],
  countLot: ['post', '/api/lots/:id/counts'],
  getSupply: ['get', '/api/larder/supply'],
  getRound: ['get', '/api/round/:day'],
  getRoundWhy: ['get', '/api/round/:day/why/:servingId'],
  listFeedings: ['get', '/api/feedings'],
  logFeeding: ['post', '/api/feedings'],
  undoFeeding: ['post', '/api/feedings/:id/undo'],
  getConsumption: ['get', '/api/records/consumption'],
} as const satisfies Record<string, readonly ['get' | 'post' | 'put', string]>;

export type RouteName = keyof typeof paths;
