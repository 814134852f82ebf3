import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import DarkModeOutlinedIcon from '@mui/icons-material/DarkModeOutlined';
import LightModeOutlinedIcon from '@mui/icons-material/LightModeOutlined';
import { type ReactNode, memo } from 'react';
import type { Corner } from '../../../core/model/design';
import { Roving } from '../../parts/Roving';
import { STAGE_WORDS } from '../../wording/screens/stage';
import { SHARED_WORDS } from '../../wording/screens/shared';

interface StageToolsProps {
  readonly distance: 'near' | 'whole';
  readonly scheme: 'day' | 'evening';
  readonly corner: Corner;
  /** At which the page is drawn; 1 is true size. */
  readonly scale: number;
  /** What is behind the widget. */
  readonly children: ReactNode;
  readonly onDistance: (distance: 'near' | 'whole') => void;
  readonly onScheme: (scheme: 'day' | 'evening') => void;
}

/** The one group that lies on the stage: how near, in which light, and what is behind the widget. One Tab stop. */
export const StageTools = memo(function StageTools({
  distance,
  scheme,
  corner,
  scale,
  onDistance,
  onScheme,
  children,
}: StageToolsProps) {
  const side = corner.endsWith('right') ? { left: 12 } : { right: 12 };
  const scaleWords = scale === 1 ? '' : ` ${Math.round(scale * 100)} %`;
  const named = (one: 'near' | 'whole', words: string): string =>
    distance === one ? words + scaleWords : words;
  return (
    <Roving
      label={STAGE_WORDS.howThePageIsShown}
      sx={{ position: 'absolute', top: 12, ...side, display: 'flex', gap: 1, zIndex: 4 }}
    >
      <Switches
        label={STAGE_WORDS.distance}
        options={[
          ['near', named('near', STAGE_WORDS.closeUp)],
          ['whole', named('whole', STAGE_WORDS.wholePage)],
        ]}
        value={distance}
        onChange={onDistance}
      />
      <Switches label={SHARED_WORDS.light} options={SCHEMES} value={scheme} onChange={onScheme} />
      {children}
    </Roving>
  );
});

const SCHEMES: SwitchesProps<'day' | 'evening'>['options'] = [
  ['day', <LightModeOutlinedIcon key="day" sx={{ fontSize: '1.125rem' }} />, SHARED_WORDS.light],
  ['evening', <DarkModeOutlinedIcon key="evening" sx={{ fontSize: '1.125rem' }} />, SHARED_WORDS.dark],
];

interface SwitchesProps<T extends string> {
  readonly label: string;
  /** Value, what is drawn, and what a picture is called. */
  readonly options: readonly (readonly [value: T, shown: ReactNode, name?: string])[];
  readonly value: T;
  readonly onChange: (value: T) => void;
}

function Switches<T extends string>({ label, options, value, onChange }: SwitchesProps<T>) {
  return (
    <Box role="group" aria-label={label} sx={{ display: 'flex' }}>
      {options.map(([one, shown, name], index) => (
        <ButtonBase
          key={one}
          aria-pressed={value === one}
          aria-label={name}
          title={name}
          onClick={() => onChange(one)}
          sx={{
            fontSize: '0.8125rem',
            whiteSpace: 'nowrap',
            fontWeight: value === one ? 600 : 400,
            bgcolor: value === one ? 'var(--porch-ink)' : 'background.paper',
            color: value === one ? 'var(--porch-paper)' : 'text.primary',
            border: '1px solid var(--porch-edge)',
            borderRadius: `${index === 0 ? '10px' : '0'} ${index === options.length - 1 ? '10px 10px' : '0 0'} ${index === 0 ? '10px' : '0'}`,
            ml: index === 0 ? 0 : '-1px',
            px: 1.25,
            minHeight: 30,
          }}
        >
          {shown}
        </ButtonBase>
      ))}
    </Box>
  );
}
