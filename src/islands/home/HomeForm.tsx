import { yupResolver } from '@hookform/resolvers/yup';
import { FormProvider, useFieldArray, useForm, type Resolver } from 'react-hook-form';
import { ALLERGENS } from '../../contracts/cautions.ts';
import { homeForm, type HomeForm as HomeValues } from '../../contracts/homeForm.ts';
import { GUIDE_LANGUAGE_IDS } from '../../core/languages.ts';
import { ChoiceField, LongField, TextField, TickField, TicksField, WordsField } from '../ui/fields.tsx';
import { FormNotice } from '../ui/FormNotice.tsx';
import { PickField, PickList, type Pickable } from '../ui/PickField.tsx';
import { useServerForm } from '../ui/useServerForm.ts';

interface HomeFormProps {
  /** Its id; `new` for one that is not there yet. */
  readonly id: string;
  readonly home: HomeValues;
  /** The revision it is written from; 0 for a new one. */
  readonly revision: number;
  readonly things: readonly Pickable[];
}

const NAMES = new Intl.DisplayNames('en-GB', { type: 'language' });
const LANGUAGES = GUIDE_LANGUAGE_IDS.map((id) => [id, NAMES.of(id)!] as const);
const NEW_CHILD = { nickname: '', birthMonth: '', loves: '', mouthing: false, leftHanded: false, needs: '' };
const LIST = 'things-by-name';

/** Adds a home or changes one: who lives there, what they must not have, what is there. */
export function HomeForm({ id, home, revision, things }: HomeFormProps) {
  const form = useForm<HomeValues & { revision: number }>({
    defaultValues: { ...home, revision },
    resolver: yupResolver(homeForm) as unknown as Resolver<HomeValues & { revision: number }>,
  });
  const { submit, word, setWord } = useServerForm({
    form,
    address: `/api/homes/${id}`,
    bodyOf: ({ revision: _, ...values }) => ({ home: values, revision: form.getValues('revision') }),
    fieldOf: (path) => (path === 'revision' ? undefined : path.replace(/\[(\d+)\]/g, '.$1')),
  });
  const newer = word?.current as { revision: number; home: HomeValues } | undefined;
  return (
    <FormProvider {...form}>
      <form className="home-form" noValidate onSubmit={(event) => void submit(event)}>
        <FormNotice
          word={word}
          onTheirs={() => {
            form.reset({ ...newer!.home, revision: newer!.revision });
            setWord(null);
          }}
          onOurs={() => {
            form.setValue('revision', newer!.revision);
            setWord({ text: 'Yours will replace what somebody else kept. Press “Save” to do so.', others: [] });
          }}
        />
        <div className="grid gap-y-0 gap-x-5 grid-cols-[repeat(auto-fit,minmax(15rem,1fr))]">
          <TextField
            name="nickname"
            label="Name of the home"
            isMust
            hint="A nickname, such as Blue door; no surname."
          />
          <ChoiceField name="language" label="Guide in" choices={LANGUAGES} />
          <TextField
            name="contact"
            label="Address for letters"
            type="email"
            hint="One e-mail address. Leave it empty if you’ll hand over the link yourself."
          />
        </div>
        <Children />
        <Avoided />
        <Things things={things} />
        <PickList id={LIST} choices={things} />
        <p className="sticky bottom-0 py-3 px-0 bg-sheet border-t border-t-line">
          <button className="btn btn-primary" disabled={form.formState.isSubmitting}>
            {id === 'new' ? 'Add the home' : 'Save'}
          </button>
        </p>
      </form>
    </FormProvider>
  );
}

/** What nobody there must have: of the list, and in the home's own words. */
function Avoided() {
  return (
    <>
      <TicksField
        name="allergens"
        label="Allergies and things to avoid"
        hint="What any child there is allergic to. Guides leave it out or ask for something else."
        choices={ALLERGENS.map((allergen) => [allergen, allergen.replaceAll('-', ' ')])}
      />
      <WordsField
        name="alsoAvoids"
        label="Anything else nobody there must have"
        hint="In your own words, with commas between: kiwi, latex. Whatever is called that is left out."
      />
    </>
  );
}

function Children() {
  const { fields, append, remove } = useFieldArray({ name: 'children' });
  return (
    <fieldset className="grid gap-3 justify-items-start mb-5 [&>legend]:font-heading [&>legend]:font-semibold">
      <legend>Children</legend>
      {fields.length === 0 && (
        <p className="text-soft text-sm">
          With no child named we take it that there’s a baby: nothing small, nothing to choke on.
        </p>
      )}
      {fields.map((row, index) => (
        <div
          className="grid w-full gap-x-4 items-start border-l-3 border-line pl-4 grid-cols-[repeat(auto-fit,minmax(12rem,1fr))]"
          key={row.id}
          role="group"
          aria-label={`Child ${index + 1}`}
        >
          <TextField
            name={`children.${index}.nickname`}
            label="Name"
            isMust
            hint="The name the guide calls your child by."
          />
          <TextField
            name={`children.${index}.birthMonth`}
            label="Month of birth"
            isMust
            hint="Year and month, such as 2023-05."
          />
          <TextField name={`children.${index}.loves`} label="Loves" hint="Such as a digger." />
          <LongField name={`children.${index}.needs`} label="What helps this child" />
          <div className="flex flex-wrap gap-y-[0.4rem] gap-x-5">
            <TickField name={`children.${index}.mouthing`} label="Still puts things into the mouth" />
            <TickField name={`children.${index}.leftHanded`} label="Works with the left hand" />
          </div>
          <TakeOut what={`child ${index + 1}`} onPress={() => remove(index)} />
        </div>
      ))}
      <button type="button" className="btn btn-outline btn-sm justify-self-start" onClick={() => append(NEW_CHILD)}>
        Add a child
      </button>
    </fieldset>
  );
}

function Things({ things }: { readonly things: readonly Pickable[] }) {
  const { fields, append, remove } = useFieldArray({ name: 'things' });
  return (
    <fieldset className="grid gap-3 justify-items-start mb-5 [&>legend]:font-heading [&>legend]:font-semibold">
      <legend>What is there</legend>
      <p className="text-soft text-sm">Each thing with how many. Write its first letters; the list completes them.</p>
      <div className="grid w-full gap-y-[0.4rem] gap-x-6 grid-cols-[repeat(auto-fill,minmax(min(24rem,100%),1fr))]">
        {fields.map((row, index) => (
          <div
            className="home-thing grid w-full gap-x-4 items-start border-l-3 border-line pl-2.5 grid-cols-[minmax(8rem,2fr)_5.5rem_auto]"
            key={row.id}
            role="group"
            aria-label={`Thing ${index + 1}`}
          >
            <PickField name={`things.${index}.item`} label="Thing" choices={things} listId={LIST} isMust />
            <TextField
              name={`things.${index}.qty`}
              label="How many"
              type="number"
              step="any"
              isMust
              options={{ valueAsNumber: true }}
            />
            <TakeOut what={`thing ${index + 1}`} onPress={() => remove(index)} />
          </div>
        ))}
      </div>
      <button
        type="button"
        className="btn btn-outline btn-sm justify-self-start"
        onClick={() => append({ item: '', qty: 1 })}
      >
        Add a thing
      </button>
    </fieldset>
  );
}

function TakeOut({ what, onPress }: { readonly what: string; readonly onPress: () => void }) {
  return (
    <button
      type="button"
      className="btn btn-outline btn-sm justify-self-start"
      aria-label={`Take out ${what}`}
      onClick={onPress}
    >
      Take out
    </button>
  );
}
