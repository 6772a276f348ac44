import { lines } from './lines';

/** What was measured and reckoned on three days at the ford. */
export const FLOW_WRITTEN = lines(`
2 m²|0.6 m/s|1.2 m³/s|in the middle, just below the surface|current meter
2|0.6|1.2 m3/s|in the middle, just below the surface|flow meter
4.5|0.6 m/s|2.6 m³/s|along the banks|orange
2 m2|1.67|1.2 m³/s|in the middle, just below the surface|curent meter
2 m²|0.62|1200 l/s|it is the same everywhere|float
0.5|0.6|1.2|in the middle, just below the surface|propeller
2 m²|0.6 m/s|1.2 m³/s|at the bed|current meter
2 m²|0.6 m/s|1.2 m³/s|in the middle, just below the surface|impeller flow meter
2|1.67|2.6 m³/s|in the middle, just below the surface|current meter
2 m²|0.6 m/s|1.2 m³/s|in the middle, just below the surface|flow meter
4.5|0.6|1.2 m³/s|along the banks|float
2 m²|0.6||in the middle, just below the surface|
`);
