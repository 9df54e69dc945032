/** Demo plans that ship with the app, by id. */
export const DEMOS: readonly { id: string; name: string; about: string }[] = [
  {
    id: 'gannet',
    name: 'Gannet',
    about: 'A step van becoming a traveling bicycle workshop: seven lines in three circuits.',
  },
  {
    id: 'wheatear',
    name: 'Wheatear',
    about:
      'A hill-climb single-seater: two masters, a balance bar and an inline hydraulic handbrake.',
  },
  {
    id: 'dunlin',
    name: 'Dunlin',
    about: 'A two-axle market-stall trailer on an electric-over-hydraulic actuator.',
  },
];

export const demoUrl = (id: string): string => `/demo/${id}.firmline.json`;
