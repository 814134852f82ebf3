'use client';

import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import type { Design } from '../../../core/model/design';
import { CheckSentence } from '../visit/KeptVisits';
import { useKept } from '../visit/use-kept';
import { DRAFT_WORDS } from '../../wording/screens/draft';

/** What the kept visits come to: those that do not hold are told one by one. They warn, and do not forbid. */
export function PublishChecks({ design, nameOf }: { design: Design; nameOf: (id: string) => string }) {
  const { all: checks } = useKept(design);
  if (checks.length === 0) return null;
  const broken = checks.filter(({ result }) => result?.holds !== true);
  if (broken.length === 0)
    return (
      <Alert severity="success" sx={{ mt: 2 }}>
        {checks.length === 1 ? DRAFT_WORDS.oneTestPasses : DRAFT_WORDS.allTestsPass(checks.length)}
      </Alert>
    );
  return (
    <Alert severity="warning" sx={{ mt: 2 }}>
      {DRAFT_WORDS.testsFail(broken.length, checks.length)}
      <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
        {broken.map((one) => (
          <li key={one.visit.id}>
            <CheckSentence checked={one} nameOf={nameOf} />
          </li>
        ))}
      </Box>
    </Alert>
  );
}
