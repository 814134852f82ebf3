import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';
import { memo, useMemo, useState } from 'react';
import { withLook } from '../../../core/look/compile';
import { changedBy, withStartingLook } from '../../../core/look/starting-looks';
import type { Circumstances } from '../../../core/model/circumstances';
import type { Widget } from '../../../core/model/design';
import { LOOK_NAMES, type LookName } from '../../../core/model/look';
import { previewAt } from '../../../core/rehearse/preview-at';
import type { PublishedSite } from '../../../core/wire/published-site';
import { PAGE_FONT } from '../stage/StandInPage';
import { WidgetTile } from '../path/WidgetTile';
import { LOOK_WORDS } from '../../wording/look';
import { radioKeys } from '../../parts/radio-keys';
import { LOOK_PANEL_WORDS } from '../../wording/screens/look-panel';

interface StartingLooksProps {
  readonly site: PublishedSite;
  readonly base: Circumstances;
  readonly widget: Widget;
  readonly scheme: 'day' | 'evening';
  readonly onTake: (widget: Widget, words: string) => void;
}

/** The six looks, each as it would be with the owner's colour and logo, and how much of theirs it changes. */
export function StartingLooks({ site, base, widget, scheme, onTake }: StartingLooksProps) {
  const [chosen, setChosen] = useState<LookName>(widget.look.name);
  const { changed, of } = useMemo(() => changedBy(widget, chosen), [widget, chosen]);
  const { name, what } = LOOK_WORDS[chosen];
  return (
    <Box>
      <Typography variant="body2" role="status">
        <strong>{name}.</strong> {what}{' '}
        {changed === 0 ? LOOK_PANEL_WORDS.currentLook : LOOK_PANEL_WORDS.lookChanges(changed, of)}
      </Typography>
      {changed === 0 ? null : (
        <Button
          size="small"
          variant="contained"
          sx={{ mt: 1 }}
          onClick={() => onTake(withStartingLook(widget, chosen), LOOK_PANEL_WORDS.lookEdit(name))}
        >
          {LOOK_PANEL_WORDS.useThisLook}
        </Button>
      )}
      <Box
        role="radiogroup"
        aria-label={LOOK_PANEL_WORDS.startingLook}
        onKeyDown={radioKeys}
        sx={{ display: 'grid', gridTemplateColumns: 'repeat(3, 1fr)', gap: 1, mt: 1.5 }}
      >
        {LOOK_NAMES.map((one) => (
          <ButtonBase
            key={one}
            role="radio"
            aria-checked={chosen === one}
            tabIndex={chosen === one ? 0 : -1}
            aria-label={`${LOOK_WORDS[one].name}. ${LOOK_WORDS[one].what}`}
            onClick={() => setChosen(one)}
            sx={{
              display: 'block',
              borderRadius: '10px',
              p: 0.5,
              outline: chosen === one ? '2px solid var(--porch-door)' : '1px solid var(--porch-rail)',
              '&:focus-visible': { outline: '3px solid var(--porch-door)', outlineOffset: 1 },
            }}
          >
            <Picture site={site} base={base} widget={widget} name={one} scheme={scheme} />
            <Box
              component="span"
              sx={{
                display: 'block',
                fontSize: '0.8125rem',
                lineHeight: 1.3,
                pt: 0.5,
                fontWeight: chosen === one ? 700 : 400,
              }}
            >
              {LOOK_WORDS[one].name}
            </Box>
          </ButtonBase>
        ))}
      </Box>
    </Box>
  );
}

const WIDTH = 360;
const HEIGHT = 440;
const SCALE = 86 / WIDTH;

const Picture = memo(function Picture({
  site,
  base,
  widget,
  name,
  scheme,
}: Omit<StartingLooksProps, 'onTake'> & { readonly name: LookName }) {
  const feed = useMemo(() => {
    const dressed = withStartingLook(widget, name);
    const widgets = site.design.widgets.map((one) => (one.key === widget.key ? withLook(one, dressed) : one));
    const {
      site: shown,
      circumstances,
      entries,
    } = previewAt({ ...site, design: { ...site.design, widgets } }, base, 'talking');
    return {
      site: shown,
      circumstances,
      entries,
      scheme,
      device: 'phone' as const,
      width: WIDTH,
      height: HEIGHT,
      font: PAGE_FONT,
    };
  }, [site, base, widget, name, scheme]);
  return (
    <Box sx={{ borderRadius: '6px', overflow: 'hidden', width: 86, mx: 'auto' }}>
      <WidgetTile feed={feed} scale={SCALE} />
    </Box>
  );
});
