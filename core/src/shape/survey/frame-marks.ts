/** The four marks on a frame. */
export const CORNERS = ['frontLeft', 'frontRight', 'rearRight', 'rearLeft'] as const;
export type Corner = (typeof CORNERS)[number];
/** The six distances between four marks; diagonalLeft runs from front left to rear right. */
export const SPANS = ['front', 'rear', 'left', 'right', 'diagonalLeft', 'diagonalRight'] as const;
export type Span = (typeof SPANS)[number];
