import type { RecipeStep, Recipes } from '../model/index';

const knownPaths = new WeakMap<Recipes, ReadonlyMap<RecipeStep, string>>();

/** Where each step of the recipes stands in the description. */
export function recipePaths(recipes: Recipes): ReadonlyMap<RecipeStep, string> {
  const known = knownPaths.get(recipes);
  if (known) return known;
  const paths = new Map<RecipeStep, string>();
  const walk = (value: unknown, path: string): void => {
    if (typeof value !== 'object' || value === null) return;
    // A field may be called `do` too.
    if ('do' in value && typeof value.do === 'string') paths.set(value as RecipeStep, path);
    else for (const [key, inner] of Object.entries(value)) walk(inner, `${path}/${key}`);
  };
  walk(recipes, '/recipes');
  knownPaths.set(recipes, paths);
  return paths;
}

const knownSteps = new WeakMap<Recipes, ReadonlyMap<string, RecipeStep>>();

/** The steps of the recipes by where they stand in the description. */
export function recipeSteps(recipes: Recipes): ReadonlyMap<string, RecipeStep> {
  const known = knownSteps.get(recipes);
  if (known) return known;
  const steps = new Map([...recipePaths(recipes)].map(([step, path]) => [path, step]));
  knownSteps.set(recipes, steps);
  return steps;
}
