import Box from '@mui/material/Box';
import type { DesignChange } from '../../core/publish/changes';
import { CHANGE_GROUPS } from '../../core/publish/describe-design';
import { type ChangeContext, changeWords, groupWords } from '../wording/changes';
import { PUBLISHING_WORDS } from '../wording/screens/publishing';

interface ChangeListProps {
  readonly changes: readonly DesignChange[];
  readonly context: ChangeContext;
  readonly maxHeight?: number | 'none';
}

/** Changes in words, under the moment in which they are seen. */
export function ChangeList({ changes, context, maxHeight = 260 }: ChangeListProps) {
  const groups = CHANGE_GROUPS.flatMap((group) => {
    const here = changes.filter((one) => one.group === group);
    return here.length === 0 ? [] : [{ group, here }];
  });
  return (
    <Box
      role="group"
      tabIndex={0}
      aria-label={PUBLISHING_WORDS.changes}
      sx={{ maxHeight, overflow: 'auto', overflowWrap: 'anywhere', pr: 1 }}
    >
      {groups.map(({ group, here }) => (
        <Box key={group} sx={{ mb: 1 }}>
          <Box component="h3" sx={{ m: 0, fontSize: '0.8125rem', fontWeight: 700, color: 'text.secondary' }}>
            {groupWords(group)}
          </Box>
          <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
            {here.map((one) => (
              <Box component="li" key={one.key} dir="auto">
                {changeWords(one, context)}
              </Box>
            ))}
          </Box>
        </Box>
      ))}
    </Box>
  );
}
