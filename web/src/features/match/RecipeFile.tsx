import { Box, Text } from '@chakra-ui/react';
import { useMutation } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import { api, type Schemas } from '../../api/client';
import { useMayChange } from '../../api/role';
import { Button } from '../../ui/Button';
import { Fault } from '../../ui/states';

/** A recipe from a file becomes a dish on the bench; what had to be supposed stands in its notes. */
export function RecipeFile() {
  const may = useMayChange();
  const navigate = useNavigate();
  const read = useMutation({
    mutationFn: async (file: File) => {
      const text = await file.text();
      let recipe: Schemas['RecipeFile']['recipe'];
      try {
        // Whether it is a recipe is the kitchen's to say.
        recipe = JSON.parse(text) as Schemas['RecipeFile']['recipe'];
      } catch {
        throw new Error(`${file.name} is no JSON. A recipe comes as JSON-LD, the way web pages carry it.`);
      }
      const id = crypto.randomUUID();
      const { plan } = await api.readRecipe(recipe);
      await api.savePlan(id, 0, plan);
      return id;
    },
    onSuccess: (id) => navigate(`/prepare/${id}`),
  });
  return (
    <Box>
      <Button asChild>
        <label>
          Bring in a recipe file
          <input
            type="file"
            disabled={!may}
            accept=".json,.jsonld,application/ld+json,application/json"
            style={{ position: 'absolute', width: 1, height: 1, opacity: 0 }}
            onChange={(event) => {
              const [file] = event.target.files ?? [];
              // The same file again is read again.
              event.target.value = '';
              if (file) read.mutate(file);
            }}
          />
        </label>
      </Button>
      <Text fontSize="small" color="soft" mt={1}>
        schema.org Recipe in JSON-LD: cut, amounts, times and heat are recognised, the rest is kept as notes.
      </Text>
      {read.error && <Fault error={read.error} />}
    </Box>
  );
}
