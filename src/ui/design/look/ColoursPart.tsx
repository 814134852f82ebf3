import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMemo, useState } from 'react';
import { SIGHTS } from '../../../core/look/deficiency';
import { judgeOnPage, mendOnPage, standsOnPage } from '../../../core/look/on-page';
import {
  type JudgedPair,
  type Mend,
  TEXTS,
  judgePairs,
  judgedOf,
  mendOf,
  withOwn,
  withSight,
} from '../../../core/look/pairs';
import { NO_RING, derivedPalette, paletteOf } from '../../../core/look/palette';
import { COLOURS, type Colour, type LauncherForm, type Look, type Scheme } from '../../../core/model/look';
import type { HexColor } from '../../../core/model/units';
import {
  COLOUR_WORDS,
  ON_PAGE_WORDS,
  SIGHT_WORDS,
  mendWords,
  pairWords,
  ratioWords,
} from '../../wording/look';
import { useDesign } from '../state/DesignContext';
import { ColourField } from './ColourField';
import { Sample } from './Sample';
import type { PageColours } from './use-page-colours';
import { LOOK_PANEL_WORDS } from '../../wording/screens/look-panel';

export interface ColoursPartProps {
  readonly look: Look;
  /** The form of the launcher: the page's own element is not judged against the page. */
  readonly form: LauncherForm;
  /** Main colours of the owner's page behind launcher and invitation; null: there is no picture of it. */
  readonly page: PageColours | null;
  readonly onLook: (look: Look, words: string) => void;
}

/** Every pair of colours that meets, as it reads; what fails, with the nearest colour that does not; and each colour by hand. */
export function ColoursPart(props: ColoursPartProps) {
  const { look, onLook } = props;
  const { chosen, acts } = useDesign();
  const { scheme, sight } = chosen;
  const [isAll, setAll] = useState(false);
  const pairs = useMemo(() => judgePairs(withSight(judgedOf(look, scheme), sight)), [look, scheme, sight]);
  const failing = pairs.filter(({ passes }) => !passes);
  const mend = ({ colour, to }: Mend): void => {
    const next = colour === 'headerTo' ? { ...look, headerTo: to } : withOwn(look, scheme, colour, to);
    onLook(
      next,
      colour === 'headerTo' ? LOOK_PANEL_WORDS.headersSecondColour : COLOUR_WORDS[colour].toLowerCase(),
    );
  };
  return (
    <Box>
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1, mb: 1.5 }}>
        <TextField
          select
          size="small"
          label={LOOK_PANEL_WORDS.shown}
          value={scheme}
          onChange={(event) => acts.set({ scheme: event.target.value as Scheme })}
        >
          <MenuItem value="day">{LOOK_PANEL_WORDS.byDay}</MenuItem>
          <MenuItem value="evening">{LOOK_PANEL_WORDS.inTheEvening}</MenuItem>
        </TextField>
        <TextField
          select
          size="small"
          label={LOOK_PANEL_WORDS.seen}
          value={sight ?? 'all'}
          onChange={(event) => acts.set({ sight: SIGHTS.find((one) => one === event.target.value) ?? null })}
        >
          <MenuItem value="all">{LOOK_PANEL_WORDS.withAllColours}</MenuItem>
          {SIGHTS.map((one) => (
            <MenuItem key={one} value={one}>
              {SIGHT_WORDS[one]}
            </MenuItem>
          ))}
        </TextField>
      </Box>
      <Box component="ul" aria-label={LOOK_PANEL_WORDS.pairsOfColours} sx={{ m: 0, p: 0, listStyle: 'none' }}>
        {(isAll ? [...failing, ...pairs.filter(({ passes }) => passes)] : failing).map((pair) => (
          <PairRow
            key={`${pair.text} ${pair.ground}`}
            pair={pair}
            mend={pair.passes || sight !== null ? null : mendOf(look, scheme, pair)}
            isHard={sight !== null}
            onMend={mend}
          />
        ))}
        <OnPageRows {...props} scheme={scheme} onMend={mend} />
      </Box>
      <Link
        component="button"
        type="button"
        variant="body2"
        onClick={() => setAll(!isAll)}
        aria-expanded={isAll}
        sx={{ mt: 0.5 }}
      >
        {isAll ? LOOK_PANEL_WORDS.onlyWhatIsHardToRead : LOOK_PANEL_WORDS.allPairs(pairs.length)}
      </Link>
      <Second look={look} onLook={onLook} />
      <ByHand look={look} scheme={scheme} onLook={onLook} />
    </Box>
  );
}

interface PairRowProps {
  readonly pair: JudgedPair;
  readonly mend: Mend | null;
  /** As somebody sees it who sees fewer colours: nothing is mended there. */
  readonly isHard: boolean;
  readonly onMend: (mend: Mend) => void;
}

function PairRow({ pair, mend, isHard, onMend }: PairRowProps) {
  const isText = TEXTS.has(pair.text);
  return (
    <Row front={pair.front} back={pair.back} isText={isText} name={pairWords(pair)}>
      {ratioWords(pair)}
      {pair.passes || isHard ? null : <Mending mend={mend} onMend={onMend} />}
    </Row>
  );
}

function Mending({ mend, onMend }: { readonly mend: Mend | null; readonly onMend: (mend: Mend) => void }) {
  if (mend === null) return <Box>{LOOK_PANEL_WORDS.noSingleFix}</Box>;
  return (
    <Button
      size="small"
      variant="outlined"
      onClick={() => onMend(mend)}
      sx={{ mt: 0.5, display: 'flex' }}
      startIcon={
        <Box
          style={{ backgroundColor: mend.to }}
          sx={{ width: 16, height: 16, borderRadius: '4px', border: '1px solid var(--porch-edge)' }}
        />
      }
    >
      {mendWords(mend)}
    </Button>
  );
}

interface RowProps {
  readonly front: HexColor;
  readonly back: HexColor;
  readonly isText: boolean;
  readonly name: string;
  readonly children: React.ReactNode;
}

function Row({ front, back, isText, name, children }: RowProps) {
  return (
    <Box component="li" sx={{ display: 'flex', gap: 1.25, py: 0.75, alignItems: 'flex-start' }}>
      <Sample front={front} back={back} isText={isText} />
      <Box sx={{ fontSize: '0.8125rem', lineHeight: 1.35 }}>
        <Box>{name}</Box>
        <Box sx={{ fontSize: '0.8125rem', color: 'text.secondary' }}>{children}</Box>
      </Box>
    </Box>
  );
}

/** What stands on the page itself, against the page. */
function OnPageRows({
  look,
  form,
  scheme,
  page,
  onMend,
}: ColoursPartProps & { readonly scheme: Scheme; readonly onMend: (mend: Mend) => void }) {
  const colours = paletteOf(look, scheme);
  return (
    <>
      {standsOnPage(form).map((what) => {
        const behind = page?.[what] ?? WHITE;
        const judged = judgeOnPage(colours, what, behind);
        const front = what === 'launcher' ? colours.launcher : colours.edge;
        return (
          <Row key={what} front={front} back={judged.page} isText={false} name={ON_PAGE_WORDS[what]}>
            {ratioWords({ ...judged, needs: 3 })}
            {page === null ? LOOK_PANEL_WORDS.judgedOnWhite : LOOK_PANEL_WORDS.atWorst(judged.page)}
            {judged.passes ? null : <Mending mend={mendOnPage(look, scheme, what, behind)} onMend={onMend} />}
          </Row>
        );
      })}
    </>
  );
}
const WHITE = ['#ffffff'];

/** A second colour of the owner's, where the look has a use for one. */
function Second({ look, onLook }: Pick<ColoursPartProps, 'look' | 'onLook'>) {
  if (look.name !== 'garden-party' && look.second === null) return null;
  const { accent } = derivedPalette({ ...look, second: null }, 'day');
  return (
    <Box sx={{ mt: 2 }}>
      <ColourField
        label={LOOK_PANEL_WORDS.secondColour}
        value={look.second ?? accent}
        onChange={(second) => onLook({ ...look, second }, LOOK_PANEL_WORDS.secondColourEdit)}
      />
      <Typography variant="body2" color="text.secondary" sx={{ mt: 0.5 }}>
        {look.second === null ? (
          LOOK_PANEL_WORDS.secondColourHelp
        ) : (
          <>
            {LOOK_PANEL_WORDS.secondColourOfGardenParty}{' '}
            <Link
              component="button"
              type="button"
              variant="body2"
              onClick={() => onLook({ ...look, second: null }, LOOK_PANEL_WORDS.secondColourEdit)}
            >
              {LOOK_PANEL_WORDS.useOurs}
            </Link>
          </>
        )}
      </Typography>
    </Box>
  );
}

/** Each colour, derived or by hand; one at a time can be set, or set back. */
function ByHand({
  look,
  scheme,
  onLook,
}: Pick<ColoursPartProps, 'look' | 'onLook'> & { readonly scheme: Scheme }) {
  const [chosen, setChosen] = useState<Colour>('header');
  const colours = paletteOf(look, scheme);
  const derived = derivedPalette(look, scheme);
  const own = look.own[scheme];
  const set = (value: HexColor | null): void =>
    onLook(withOwn(look, scheme, chosen, value), COLOUR_WORDS[chosen].toLowerCase());
  const byHand = COLOURS.filter((name) => own[name] !== undefined);
  return (
    <Box component="section" aria-label={LOOK_PANEL_WORDS.yourOwnColours} sx={{ mt: 2 }}>
      <Typography component="h4" sx={{ fontSize: '0.8125rem', fontWeight: 700, mb: 1 }}>
        {LOOK_PANEL_WORDS.setOneColour}
      </Typography>
      <TextField
        select
        fullWidth
        size="small"
        label={LOOK_PANEL_WORDS.colour}
        value={chosen}
        onChange={(event) => setChosen(event.target.value as Colour)}
        sx={{ mb: 1.5 }}
      >
        {COLOURS.map((name) => (
          <MenuItem key={name} value={name} sx={{ gap: 1 }}>
            <Box
              component="span"
              aria-hidden
              style={{ backgroundColor: colours[name] }}
              sx={{
                width: 16,
                height: 16,
                borderRadius: '4px',
                border: '1px solid var(--porch-edge)',
                display: 'inline-block',
                mr: 1,
                verticalAlign: -3,
              }}
            />
            {COLOUR_WORDS[name]}
            {own[name] === undefined ? '' : LOOK_PANEL_WORDS.ownMark}
          </MenuItem>
        ))}
      </TextField>
      <ColourField
        key={`${chosen} ${scheme}`}
        label={COLOUR_WORDS[chosen]}
        value={colours[chosen] === NO_RING ? '#ffffff' : colours[chosen]}
        onChange={set}
      />
      <Typography variant="body2" color="text.secondary" sx={{ mt: 1 }}>
        {own[chosen] === undefined ? (
          LOOK_PANEL_WORDS.roleOurs
        ) : (
          <>
            {LOOK_PANEL_WORDS.roleYours(derived[chosen] === NO_RING ? null : derived[chosen])}{' '}
            <Link component="button" type="button" variant="body2" onClick={() => set(null)}>
              {LOOK_PANEL_WORDS.useOurs}
            </Link>
          </>
        )}
        {byHand.length > 1 ? (
          <>
            {' '}
            <Link
              component="button"
              type="button"
              variant="body2"
              onClick={() =>
                onLook({ ...look, own: { ...look.own, [scheme]: {} } }, LOOK_PANEL_WORDS.allColoursDerived)
              }
            >
              {LOOK_PANEL_WORDS.allBackToDerived(byHand.length)}
            </Link>
          </>
        ) : null}
      </Typography>
    </Box>
  );
}
