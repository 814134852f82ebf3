import { defaultLimits, defaultLauncherDetails, defaultPlace, plainField } from './defaults';
import type { Design, Place, Widget } from './design';
import type { Field } from './form';
import type { Look } from './look';
import { defaultLook } from './starting-looks';

/**
 * A design as this program knows it, from one that an earlier program wrote: what did not exist then gets the value that
 * changes nothing for visitors. What is complete comes back as it is.
 */
export function completed(design: Design): Design {
  const known: Partial<Design> = design;
  return { ...design, limits: known.limits ?? defaultLimits(), widgets: design.widgets.map(completedWidget) };
}

function completedWidget(widget: Widget): Widget {
  const known: Partial<Widget> = widget;
  const forms: Partial<Widget['forms']> = widget.forms;
  return {
    ...widget,
    audience: known.audience ?? [],
    cases: known.cases ?? [],
    look: completedLook(widget.look),
    place: completedPlace(widget.place),
    launcher: { ...defaultLauncherDetails(), ...widget.launcher },
    timings: {
      ...widget.timings,
      slowReplyTalkingAfter: (widget.timings as Partial<Widget['timings']>).slowReplyTalkingAfter ?? null,
    },
    talks: {
      keepsWaiting: known.talks?.keepsWaiting ?? false,
      offersAgain: known.talks?.offersAgain ?? true,
    },
    forms: {
      before: widget.forms.before.map(completedField),
      note: widget.forms.note.map(completedField),
      after: (forms.after ?? []).map(completedField),
    },
  };
}

function completedField(field: Field): Field {
  return { ...plainField(field.id, field.kind, field.label ?? 'note.text'), ...field };
}

/** On phones a launcher stood as much further from its edge as elsewhere. */
function completedPlace(place: Place): Place {
  const known: Partial<Place> = place;
  return {
    ...defaultPlace(),
    ...place,
    lift: known.lift ?? 0,
    phoneLift: known.phoneLift ?? known.lift ?? 0,
  };
}

/** A look that an earlier program wrote had no awning, and was Front door otherwise. */
function completedLook(look: Look): Look {
  const known: Partial<Look> = look;
  return { ...defaultLook(look.brand), ...look, header: known.header ?? 'plain' };
}
