/** Times its setting at which the trip class of an overload relay is told (IEC 60947-4-1, from memory). */
export const toldAt = 7.2;
