/** Characters a PIN or password has at least; shorter ones are guessed, however slow the sign-in is made. */
export const LEAST_SECRET = 6;
