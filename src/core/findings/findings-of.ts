import { type Finding, type FindingContext, finding } from './finding';
import { formFindings } from './forms';
import { invitationFindings } from './invitations';
import { lookFindings } from './looks';
import { pageFindings } from './pages';
import { peopleFindings } from './people';
import { wordFindings } from './words';

/** Everything that is computed to be wrong or doubtful, what has to be mended first. */
export function findingsOf(input: FindingContext): Finding[] {
  const all = [
    ...peopleFindings(input),
    ...formFindings(input),
    ...invitationFindings(input),
    ...pageFindings(input),
    ...lookFindings(input),
    ...wordFindings(input),
    ...addressFindings(input),
  ];
  return [
    ...all.filter(({ level }) => level === 'must-fix'),
    ...all.filter(({ level }) => level === 'suggestion'),
  ];
}

/** Whether visitors' browsers can fetch the widget at all. */
function addressFindings({ publicUrl, siteAddress }: FindingContext): Finding[] {
  if (publicUrl === null || isLocal(publicUrl)) return [finding('address-local-only', [])];
  const isBlocked = publicUrl.startsWith('http:') && (siteAddress ?? '').startsWith('https:');
  return isBlocked ? [finding('page-https-app-http', [], { values: { address: publicUrl } })] : [];
}

function isLocal(origin: string): boolean {
  const name = new URL(origin).host.replace(/:\d+$/, '');
  return name === 'localhost' || name.endsWith('.localhost') || name === '[::1]' || name.startsWith('127.');
}
