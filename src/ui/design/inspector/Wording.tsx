'use client';

import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import Collapse from '@mui/material/Collapse';
import { memo, useState } from 'react';
import { Roving } from '../../parts/Roving';
import { useSame, useStable } from '../../parts/use-stable';
import { DeskCases } from '../cases/DeskCases';
import type { SaidKey } from '../stage/StageTexts';
import { TextEditor } from '../stage/TextEditor';
import { useDesign } from '../state/DesignContext';
import { Section } from './Section';
import { INSPECTOR_WORDS } from '../../wording/screens/inspector';
import { SHARED_WORDS } from '../../wording/screens/shared';

/** What is said at the moment: for whom it differs, and every text, to be edited on the stage or, where it cannot be seen there, here. */
export function Wording() {
  const { shown, chosen, acts } = useDesign();
  const { texts } = shown;
  const seen = useSame(shown.seenTexts);
  const others = useSame(texts.alsoSaid.filter((key) => !seen.includes(key)));
  const choose = useStable((key: SaidKey) => {
    acts.edit(key);
    // Over a narrow stage, the inspector makes room for what is edited there.
    acts.set({ distance: 'near', isSheetOpen: !(seen.includes(key) && chosen.seen.isReadable) });
  });
  const isAmongOthers = chosen.editing !== null && !seen.includes(chosen.editing);
  const [isOpen, setOpen] = useState(false);
  const areShown = isOpen || isAmongOthers;
  const count = seen.length + others.length;
  if (count === 0) return null;
  return (
    <Section title={INSPECTOR_WORDS.wording} aside={INSPECTOR_WORDS.textCount(count)}>
      <DeskCases />
      <Roving label={INSPECTOR_WORDS.texts} role="group">
        <Box component="ul" sx={LIST}>
          {seen.map((key) => (
            <TextLine key={key} textKey={key} onChoose={choose} />
          ))}
        </Box>
        {others.length === 0 ? null : (
          <>
            <ButtonBase
              aria-expanded={areShown}
              onClick={() => setOpen(!areShown)}
              sx={{ fontSize: '0.8125rem', minHeight: 28, color: 'text.secondary' }}
            >
              {areShown ? '▾' : '▸'} {INSPECTOR_WORDS.otherTexts(others.length)}
            </ButtonBase>
            <Collapse in={areShown} unmountOnExit timeout={0}>
              <Box component="ul" sx={LIST}>
                {others.map((key) => (
                  <TextLine key={key} textKey={key} onChoose={choose} />
                ))}
              </Box>
            </Collapse>
          </>
        )}
      </Roving>
    </Section>
  );
}

const LIST = { m: 0, p: 0, listStyle: 'none' } as const;

interface TextLineProps {
  readonly textKey: SaidKey;
  readonly onChoose: (key: SaidKey) => void;
}

/** One text, with its first words; below it its editor, while that is not on the stage. */
function TextLine({ textKey, onChoose }: TextLineProps) {
  const { shown, chosen, acts } = useDesign();
  const { texts } = shown;
  const wording = texts.wordingAt(textKey);
  const name = texts.nameOf(wording);
  const words = texts.readsAs(textKey);
  const isEdited = chosen.editing === textKey && shown.isEditedHere;
  return (
    <li>
      <TextButton
        textKey={textKey}
        name={name}
        words={words}
        dir={texts.dir}
        isEdited={chosen.editing === textKey}
        onChoose={onChoose}
      />
      {isEdited ? (
        <TextEditor
          key={wording}
          wording={wording}
          texts={texts}
          height={72}
          sx={{ my: 0.75 }}
          onClose={() => acts.edit(null)}
        />
      ) : null}
    </li>
  );
}

interface TextButtonProps extends TextLineProps {
  readonly name: string;
  readonly words: string;
  readonly dir: 'ltr' | 'rtl';
  readonly isEdited: boolean;
}

/** Drawn anew only when it says something else. */
const TextButton = memo(function TextButton({
  textKey,
  name,
  words,
  dir,
  isEdited,
  onChoose,
}: TextButtonProps) {
  return (
    <ButtonBase
      aria-label={SHARED_WORDS.editNamed(name, words)}
      aria-current={isEdited ? 'true' : undefined}
      onClick={() => onChoose(textKey)}
      sx={{
        display: 'flex',
        width: 'calc(100% + 16px)',
        mx: -1,
        px: 1,
        gap: 1,
        minHeight: { xs: 40, md: 28 },
        justifyContent: 'flex-start',
        textAlign: 'start',
        fontSize: '0.8125rem',
        borderRadius: '8px',
        '&:hover': { bgcolor: 'var(--porch-lane)' },
        ...(isEdited ? { bgcolor: 'var(--porch-lane)' } : {}),
      }}
    >
      <Box component="span" sx={{ ...CUT, flex: '0 1 auto', maxWidth: '55%' }}>
        {name}
      </Box>
      <Box component="span" dir={dir} sx={{ ...CUT, flex: '1 1 0', color: 'text.secondary' }}>
        {words}
      </Box>
    </ButtonBase>
  );
});

const CUT = { overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap', minWidth: 0 } as const;
