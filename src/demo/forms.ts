import { plainField } from '../core/model/defaults';
import type { Field } from '../core/model/form';
import { type Words, words } from './words';

const own = (label: Words, help?: Words) => ({ label: null, own: { label, help: help ?? {} } });

/** What a school is asked for when nobody is home: seven fields, one of them shown only for some. */
export function schoolForm(ids: () => string): Field[] {
  const withAdults = ids();
  const class_ = words('Which class?', 'Que turma?', 'Welche Klasse?', 'أي صف؟');
  return [
    { ...plainField(ids(), 'long', 'note.text'), isRequired: true },
    { ...plainField(ids(), 'email', 'note.email'), isRequired: true, isKept: true },
    {
      ...plainField(ids(), 'choice', 'note.text'),
      ...own(class_),
      options: [
        {
          value: 'first',
          label: words('Years 1 to 4', '1.º ao 4.º ano', 'Klasse 1 bis 4', 'الصفوف 1 إلى 4'),
        },
        {
          value: 'middle',
          label: words('Years 5 to 9', '5.º ao 9.º ano', 'Klasse 5 bis 9', 'الصفوف 5 إلى 9'),
        },
        { value: 'upper', label: words('Older', 'Mais velhos', 'Älter', 'أكبر سنًا') },
      ],
    },
    {
      ...plainField(ids(), 'number', 'note.text'),
      ...own(words('How many children?', 'Quantas crianças?', 'Wie viele Kinder?', 'كم عدد الأطفال؟')),
      least: 1,
      most: 28,
    },
    {
      ...plainField(withAdults, 'yes-no', 'note.text'),
      ...own(
        words(
          'Do you need the minibus?',
          'Precisam do minibus?',
          'Brauchen Sie den Kleinbus?',
          'هل تحتاجون الحافلة الصغيرة؟',
        ),
      ),
    },
    {
      ...plainField(ids(), 'date', 'note.text'),
      ...own(words('For which day?', 'Para que dia?', 'Für welchen Tag?', 'لأي يوم؟')),
      shownIf: { field: withAdults, is: 'yes' },
    },
    {
      ...plainField(ids(), 'consent', 'note.text'),
      ...own(
        words(
          'We may keep this to plan the visit.',
          'Podemos guardar isto para planear a visita.',
          'Wir dürfen das behalten, um den Besuch zu planen.',
          'يمكننا الاحتفاظ بهذا للتخطيط للزيارة.',
        ),
      ),
      isRequired: true,
      link: 'https://farrowisle.example/privacy',
    },
  ];
}

/** Before a chat about a loan: one choice, and the booking a signed-in page may know. */
export function beforeLoan(ids: () => string): Field[] {
  return [
    {
      ...plainField(ids(), 'choice', 'note.text'),
      ...own(
        words(
          'Who will look through it?',
          'Quem vai observar?',
          'Wer wird hindurchschauen?',
          'من سينظر من خلاله؟',
        ),
      ),
      isRequired: true,
      asButtons: true,
      isKept: true,
      options: [
        { value: 'one', label: words('Just me', 'Só eu', 'Nur ich', 'أنا فقط') },
        { value: 'family', label: words('My family', 'A minha família', 'Meine Familie', 'عائلتي') },
        { value: 'group', label: words('A group', 'Um grupo', 'Eine Gruppe', 'مجموعة') },
      ],
    },
    {
      ...plainField(ids(), 'hidden', 'note.text'),
      ...own(words('Booking', 'Reserva', 'Buchung', 'الحجز')),
      attribute: 'booking',
    },
  ];
}

/** After it: whether it helped, and what is still open where it did not. */
export function afterLoan(ids: () => string): Field[] {
  const helped = ids();
  return [
    {
      ...plainField(helped, 'yes-no', 'note.text'),
      ...own(
        words(
          'Do you know now which one suits you?',
          'Já sabe qual lhe serve?',
          'Wissen Sie jetzt, welches zu Ihnen passt?',
          'هل عرفت الآن أيها يناسبك؟',
        ),
      ),
      isRequired: true,
    },
    {
      ...plainField(ids(), 'short', 'note.text'),
      ...own(
        words('What is still open?', 'O que falta saber?', 'Was ist noch offen?', 'ما الذي بقي غير واضح؟'),
      ),
      shownIf: { field: helped, is: 'no' },
      most: 200,
    },
  ];
}
