'use client';

import Alert from '@mui/material/Alert';
import LinearProgress from '@mui/material/LinearProgress';
import Typography from '@mui/material/Typography';
import type { Design } from '../../core/model/design';
import { changesOf } from '../../core/publish/changes';
import { changeContext } from './change-context';
import { ChangeList } from './ChangeList';
import { useVersionDesign } from './use-version-design';
import { useSite } from '../frame/SiteContext';
import { PUBLISHING_WORDS } from '../wording/screens/publishing';

interface ComparisonProps {
  readonly from: number;
  readonly to: number;
  readonly load: (number: number) => Promise<Design>;
}

/** What is another in one version than in an other, in words. */
export function Comparison({ from, to, load }: ComparisonProps) {
  const { overview } = useSite();
  const [before, after] = [useVersionDesign(from, load), useVersionDesign(to, load)];
  if (before === 'failed' || after === 'failed')
    return <Alert severity="error">{PUBLISHING_WORDS.comparisonNotLoaded}</Alert>;
  if (before === null || after === null)
    return <LinearProgress aria-label={PUBLISHING_WORDS.loadingBothVersions} />;
  const changes = changesOf(before, after);
  if (changes.length === 0) return <Typography>{PUBLISHING_WORDS.visitorsSeeNoDifference}</Typography>;
  return <ChangeList maxHeight="none" changes={changes} context={changeContext(overview, before, after)} />;
}
