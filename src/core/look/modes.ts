import { modeHsl, modeLrgb, modeOklab, modeOklch, modeRgb, useMode } from 'culori/fn';

// The package knows a colour space only once it is named; this file is imported wherever a space is converted.
useMode(modeRgb);
useMode(modeLrgb);
useMode(modeOklab);
useMode(modeOklch);
useMode(modeHsl);
