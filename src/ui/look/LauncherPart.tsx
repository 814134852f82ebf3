import Box from '@mui/material/Box';
import FormControlLabel from '@mui/material/FormControlLabel';
import Radio from '@mui/material/Radio';
import RadioGroup from '@mui/material/RadioGroup';
import { LAUNCHER_FORMS, type LauncherForm } from '../../core/model/look';
import { FORM_WORDS } from '../wording/look';

/** The form of the launcher. */
export function LauncherForms({ value, onChange }: { readonly value: LauncherForm; readonly onChange: (form: LauncherForm) => void }) {
  return (
    <RadioGroup aria-label="Form of the launcher" value={value} onChange={(event) => onChange(event.target.value as LauncherForm)}>
      {LAUNCHER_FORMS.map((form) => (
        <FormControlLabel
          key={form}
          value={form}
          control={<Radio size="small" sx={{ alignSelf: 'flex-start' }} />}
          label={
            <Box component="span" sx={{ display: 'block', fontSize: 13, py: 0.75 }}>
              {FORM_WORDS[form].name}
              <Box component="span" sx={{ display: 'block', fontSize: 12, color: 'text.secondary' }}>
                {FORM_WORDS[form].what}
              </Box>
            </Box>
          }
        />
      ))}
    </RadioGroup>
  );
}
