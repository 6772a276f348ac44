import { lines } from './lines';

/** What 7B wrote: the last one did not hand it in, the two before were late. */
export const FLOODS_WRITTEN = lines(`
5 h|48|lag time|the peak is higher and comes sooner|the leaves catch rain|embankment|each year the chance of it is 1 in 100
5|48|Lag time|the peak is higher and comes sooner|roots soak up water|dyke|it comes every 100 years
8|50|lagtime|the peak is higher but comes later|they soak up the rain|dam|it comes every 100 years
5 hours|47|lag time|the peak is higher and comes sooner|interception|levee|each year the chance of it is 1 in 100
3|45|time lag|the peak is higher and comes sooner|because of the shade|embankement|it came 100 years ago
5|48.5|log time|the peak is higher but comes later|rain gets stuck on the leaves|dike|it comes every 100 years
5,0|48|lag|the peak is higher and comes sooner|the roots drink water|flood wall|each year the chance of it is 1 in 100
8 hours|52|rising limb|the peak is lower and comes later|dont know|wall|it comes every 100 years
5|48|lag time|the peak is higher and comes sooner|Roots take up water.|Embankment|each year the chance of it is 1 in 100
4.5|47|delay|the peak is higher and comes sooner|the ground is looser so it sinks in|dyke|it comes every 100 years
5h|48|time lag|the peak is higher and comes sooner|they make the air cooler|enbankment|it comes once and then never again
5|49|Lag time|the peak is higher but comes later|leaves catch the rain|dam|each year the chance of it is 1 in 100
6|40|peak time|nothing changes|they use the water to grow|bank|it comes every 100 years
5 hrs|48|lag tiem|the peak is higher and comes sooner|interception|levée|each year the chance of it is 1 in 100
5|46|lagtime|the peak is higher and comes sooner|it holds the soil together|embankment|it comes every 100 years
five|48|the lag time|the peak is higher and comes sooner|roots soak up water|dyke|each year the chance of it is 1 in 100
3|48|lag time|the peak is higher but comes later||levee|it came 100 years ago
5|48|lag time|the peak is higher and comes sooner|trees drink the water|Dike|each year the chance of it is 1 in 100
8|44|gap|the peak is lower and comes later|shade|dam|it comes every 100 years
5|47|lag time|the peak is higher and comes sooner|leafs catch the rain|embankment|it comes every 100 years
5|48|lag time|the peak is higher but comes later|||
`);
