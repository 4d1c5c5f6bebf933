interface Socket {
  id: string;
  says: string;
  fills: { field: string; text: string }[];
}

const mains = (id: string, says: string, phases: string, volts: number, hertz: number): Socket => ({
  id,
  says: `${says}, ${volts} V ${hertz} Hz`,
  fills: [
    { field: 'supply.phases', text: phases },
    { field: 'supply.volts', text: `${volts} V` },
    { field: 'supply.hertz', text: `${hertz} Hz` }
  ]
});
const battery = (volts: number): Socket => ({
  id: `battery-${volts}`,
  says: `a battery, ${volts} V`,
  fills: [
    { field: 'supply.phases', text: 'dc' },
    { field: 'supply.volts', text: `${volts} V` }
  ]
});

/** What a motor is usually fed from in a region, to be changed on the supply's bench. */
export const sockets = (region: string): Socket[] => [
  ...(region === 'north-america'
    ? [
        mains('wall', 'a wall outlet', '1', 120, 60),
        mains('large', 'a large outlet', '1', 240, 60),
        mains('three', 'three phases', '3', 208, 60)
      ]
    : [mains('wall', 'a wall socket', '1', 230, 50), mains('three', 'three phases', '3', 400, 50)]),
  battery(12),
  battery(24),
  battery(36)
];
