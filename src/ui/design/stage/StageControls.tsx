import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import { type ReactNode, memo } from 'react';
import type { Visitor } from '../../../core/model/circumstances';
import type { Corner } from '../../../core/model/design';

interface StageControlsProps {
  readonly distance: 'near' | 'whole';
  readonly device: Visitor['device'];
  readonly scheme: 'day' | 'evening';
  readonly corner: Corner;
  /** What stands behind the widget. */
  readonly children: ReactNode;
  readonly onDistance: (distance: 'near' | 'whole') => void;
  readonly onDevice: (device: Visitor['device']) => void;
  readonly onScheme: (scheme: 'day' | 'evening') => void;
}

const DISTANCES = [
  ['near', 'Close-up'],
  ['whole', 'Whole page'],
] as const;
const DEVICE_SWITCHES = [
  ['desktop', 'Desktop'],
  ['tablet', 'Tablet'],
  ['phone', 'Phone'],
] as const;
const SCHEMES = [
  ['day', 'Light'],
  ['evening', 'Dark'],
] as const;

/** How the stage is looked at: how far away, on what, in which light. */
export const StageControls = memo(function StageControls({
  distance,
  device,
  scheme,
  corner,
  onDistance,
  onDevice,
  onScheme,
  children,
}: StageControlsProps) {
  const side = corner.endsWith('right') ? { left: 12 } : { right: 12 };
  return (
    <Box
      sx={{
        position: 'absolute',
        top: 24,
        ...side,
        display: 'flex',
        flexWrap: 'wrap',
        gap: 1,
        zIndex: 4,
        maxWidth: { md: 'max(220px, calc(100% - 412px))', xs: 'calc(100% - 24px)' },
        pointerEvents: 'none',
      }}
    >
      <Switches label="Distance" options={DISTANCES} value={distance} onChange={onDistance} />
      <Switches label="Device" options={DEVICE_SWITCHES} value={device} onChange={onDevice} />
      <Switches label="Light" options={SCHEMES} value={scheme} onChange={onScheme} />
      {children}
    </Box>
  );
});

interface SwitchesProps<T extends string> {
  readonly label: string;
  readonly options: readonly (readonly [T, string])[];
  readonly value: T;
  readonly onChange: (value: T) => void;
}

function Switches<T extends string>({ label, options, value, onChange }: SwitchesProps<T>) {
  return (
    <Box role="group" aria-label={label} sx={{ display: 'flex', pointerEvents: 'auto' }}>
      {options.map(([one, words], index) => (
        <ButtonBase
          key={one}
          aria-pressed={value === one}
          onClick={() => onChange(one)}
          sx={{
            fontSize: '0.8125rem',
            fontWeight: value === one ? 700 : 400,
            bgcolor: 'background.paper',
            border: '1px solid var(--porch-edge)',
            borderRadius: `${index === 0 ? '10px' : '0'} ${index === options.length - 1 ? '10px 10px' : '0 0'} ${index === 0 ? '10px' : '0'}`,
            ml: index === 0 ? 0 : '-1px',
            px: 1.25,
            minHeight: 28,
          }}
        >
          {words}
        </ButtonBase>
      ))}
    </Box>
  );
}
