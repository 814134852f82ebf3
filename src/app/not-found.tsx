import Button from '@mui/material/Button';
import { EntranceLayout } from '../ui/entrance/EntranceLayout';

export default function NotFound() {
  return (
    <EntranceLayout
      title="Page not found"
      lead="Check the address. If somebody sent it to you, ask them whether you may see that site."
    >
      <Button href="/" variant="contained">
        Open your site
      </Button>
    </EntranceLayout>
  );
}
