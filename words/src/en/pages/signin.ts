/** Words of the views in signin. */
export const signin = {
  codeFromTheServersWindow: 'Code from the server’s window',
  eightLettersAndFiguresPrinted: 'Eight letters and figures, printed when the server started.',
  yourName: 'Your name',
  youBecomeTheWorkshopLead: 'You become the workshop lead and can add inspectors.',
  setUpThisWorkshop: 'Set up this workshop',
  begin: 'Begin',
  weskopos: 'Weskopos',
  theBenchBookThatWalks: 'The bench book that walks with you',
  signIn: 'Sign in',
};
