/** How areas of a picture on which places are pressed are drawn. */
export { AreaShape } from './spot/AreaShape';
