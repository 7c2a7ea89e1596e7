import { useMutation, useQuery, type QueryKey } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, type View } from '../../api/client';
import { RecipeRequest } from '../../api/limits';
import { recipes } from '../../api/queries';
import { Button } from '../../ui/Button';
import { Failure } from '../../ui/Failure';
import { choicesOf, recipeOf } from './recipe';
import type { Building } from './useBuild';

/** Choices that are kept under a name, to be run again for fresh questions. */
export function Recipes({ exam, build }: { exam: string; build: Building }) {
  const kept = useQuery(recipes(exam));
  const [name, setName] = useState<string | null>(null);
  const [chosen, setChosen] = useState<string | null>(null);
  const meta = { invalidates: [recipes(exam).queryKey] };
  const keeping = useMutation({
    mutationFn: (called: string) =>
      ask(api.POST('/api/exams/{exam}/recipes', { params: { path: { exam } }, body: { ...build.body, name: called } })),
    meta,
    onSuccess: () => setName(null),
  });
  const proposed = build.name ?? build.count?.name ?? '';
  return (
    <section aria-labelledby="recipes" className="grid gap-2">
      <h2 id="recipes" className="font-bold">
        My recipes
      </h2>
      {kept.isError && <Failure error={kept.error} retry={() => void kept.refetch()} />}
      {kept.data?.recipes.length === 0 && (
        <p className="text-sm text-base-content/75">Keep these choices under a name, and run them again any day.</p>
      )}
      <ul>
        {kept.data?.recipes.map((recipe) => (
          <Kept
            key={recipe.id}
            recipe={recipe}
            build={build}
            stale={meta.invalidates}
            chosen={recipe.id === chosen}
            onChoose={() => setChosen(recipe.id)}
          />
        ))}
      </ul>
      {keeping.isError && <Failure error={keeping.error} />}
      {name === null ? (
        <div>
          <Button small disabled={Object.keys(build.faults).length > 0} onClick={() => setName(proposed)}>
            Keep these choices
          </Button>
        </div>
      ) : (
        <Named
          label="Name of the recipe"
          name={name}
          busy={keeping.isPending}
          onName={setName}
          onDone={() => keeping.mutate(name)}
          onBack={() => setName(null)}
        />
      )}
    </section>
  );
}

function Kept(props: {
  recipe: View<'KeptRecipe'>;
  build: Building;
  /** What a change of it makes stale. */
  stale: readonly QueryKey[];
  /** Whether the choices were brought back from it. */
  chosen: boolean;
  onChoose: () => void;
}) {
  const { recipe, build, stale, chosen, onChoose } = props;
  const [name, setName] = useState<string | null>(null);
  const params = { path: { recipe: recipe.id } };
  const meta = { invalidates: stale };
  const renaming = useMutation({
    mutationFn: (called: string) =>
      ask(api.PUT('/api/recipes/{recipe}', { params, body: { ...recipe.choices, name: called } })),
    meta,
    onSuccess: () => setName(null),
  });
  const deleting = useMutation({
    mutationFn: () => ask(api.DELETE('/api/recipes/{recipe}', { params })),
    meta,
  });
  const changing = useMutation({
    mutationFn: () =>
      ask(api.PUT('/api/recipes/{recipe}', { params, body: { ...build.body, name: build.name ?? recipe.name } })),
    meta,
  });
  // Brought back, and other choices have been made since.
  const changed =
    chosen && JSON.stringify(recipeOf(choicesOf(recipe.choices))) !== JSON.stringify(recipeOf(build.choices));
  const failed = renaming.error ?? deleting.error ?? changing.error;
  const plain = 'min-h-11 pointer-fine:min-h-9 cursor-pointer text-sm text-primary underline underline-offset-4';
  return (
    <li className="border-b border-base-300 py-1">
      {failed && <Failure error={failed} />}
      {name === null ? (
        <div className="flex flex-wrap items-center gap-x-3">
          <button
            type="button"
            className="min-h-11 pointer-fine:min-h-9 min-w-0 flex-1 cursor-pointer truncate text-left font-bold underline underline-offset-4"
            aria-current={chosen || undefined}
            onClick={() => {
              build.setName(recipe.name);
              build.change(choicesOf(recipe.choices));
              onChoose();
            }}
          >
            {recipe.name}
          </button>
          {changed && (
            <Button
              small
              busy={changing.isPending}
              disabled={Object.keys(build.faults).length > 0}
              onClick={() => changing.mutate()}
            >
              Keep these changes<span className="sr-only"> in {recipe.name}</span>
            </Button>
          )}
          <button type="button" className={plain} onClick={() => setName(recipe.name)}>
            rename<span className="sr-only"> {recipe.name}</span>
          </button>
          <button type="button" className={plain} onClick={() => deleting.mutate()} disabled={deleting.isPending}>
            delete<span className="sr-only"> {recipe.name}</span>
          </button>
        </div>
      ) : (
        <Named
          label="New name"
          name={name}
          busy={renaming.isPending}
          onName={setName}
          onDone={() => renaming.mutate(name)}
          onBack={() => setName(null)}
        />
      )}
    </li>
  );
}

/** A name being typed. It stands in a form of its own purpose, so Enter keeps the name and builds nothing. */
export function Named(props: {
  label: string;
  name: string;
  busy?: boolean;
  onName: (name: string) => void;
  onDone: () => void;
  onBack: () => void;
}) {
  return (
    <div className="flex flex-wrap items-center gap-2">
      <input
        aria-label={props.label}
        value={props.name}
        maxLength={RecipeRequest.name.longest}
        // The field has just been asked for.
        ref={(field) => field?.focus()}
        onChange={(event) => props.onName(event.target.value)}
        onKeyDown={(event) => {
          if (event.key === 'Escape') props.onBack();
          if (event.key !== 'Enter') return;
          event.preventDefault();
          props.onDone();
        }}
        className="input h-11 min-w-40 flex-1 border-base-content/50 text-base pointer-fine:h-9"
      />
      <Button small busy={props.busy ?? false} onClick={props.onDone}>
        Keep
      </Button>
      <Button small weight="quiet" onClick={props.onBack}>
        Cancel
      </Button>
    </div>
  );
}
