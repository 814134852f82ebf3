import { type Board, type BoardInput, board } from './board';
import { formBoards } from './forms';
import { invitationBoards } from './invitations';
import { lookBoards } from './looks';
import { pageBoards } from './pages';
import { peopleBoards } from './people';
import { wordBoards } from './words';

/** Everything that is computed to be wrong or doubtful, what has to be mended first. */
export function looseBoards(input: BoardInput): Board[] {
  const all = [
    ...peopleBoards(input),
    ...formBoards(input),
    ...invitationBoards(input),
    ...pageBoards(input),
    ...lookBoards(input),
    ...wordBoards(input),
    ...addressBoards(input),
  ];
  return [...all.filter(({ level }) => level === 'mend'), ...all.filter(({ level }) => level === 'look')];
}

/** Whether visitors' browsers can fetch the widget at all. */
function addressBoards({ publicUrl, siteAddress }: BoardInput): Board[] {
  if (publicUrl === null || isLocal(publicUrl)) return [board('address-local-only', [])];
  const isBlocked = publicUrl.startsWith('http:') && (siteAddress ?? '').startsWith('https:');
  return isBlocked ? [board('page-https-app-http', [], { values: { address: publicUrl } })] : [];
}

function isLocal(origin: string): boolean {
  const name = new URL(origin).host.replace(/:\d+$/, '');
  return name === 'localhost' || name.endsWith('.localhost') || name === '[::1]' || name.startsWith('127.');
}
