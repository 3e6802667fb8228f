import { Box, Flex, Text, chakra } from '@chakra-ui/react';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useId, useState } from 'react';
import { keepPhotos, madeSmall, MAX_PHOTOS, photosOf } from '../api/photos';
import { useMayChange } from '../api/role';
import { Button } from './Button';

/** The photos of a cook, which stay in this browser. */
export function Photos({ cook, add }: { cook: string; add?: boolean }) {
  const id = useId();
  const may = useMayChange();
  const queries = useQueryClient();
  const queryKey = ['photos', cook];
  const photos = useQuery({ queryKey, queryFn: () => photosOf(cook) }).data ?? [];
  const [failed, setFailed] = useState<string>();
  const keep = async (next: string[]) => {
    await keepPhotos(cook, next);
    queries.setQueryData(queryKey, next);
  };
  const take = async (files: FileList | null) => {
    setFailed(undefined);
    try {
      const made = await Promise.all([...(files ?? [])].map(madeSmall));
      await keep([...photos, ...made].slice(0, MAX_PHOTOS));
    } catch {
      setFailed('This browser could not read or keep that photo. A JPEG or PNG does.');
    }
  };
  if (!add && photos.length === 0) return null;
  return (
    <Box>
      <Flex gap={3} wrap="wrap" mb={photos.length > 0 ? 2 : 0}>
        {photos.map((photo, i) => (
          <Box key={photo.slice(-40)} position="relative">
            <chakra.img
              src={photo}
              alt={`Photo ${i + 1} of the cook`}
              h={add ? '96px' : '180px'}
              maxW="100%"
              borderRadius="6px"
              borderWidth="2px"
              borderColor="rim"
            />
            {add && (
              <Button
                weight="quiet"
                aria-label={`Take photo ${i + 1} away`}
                onClick={() => void keep(photos.filter((_, other) => other !== i))}
              >
                Take away
              </Button>
            )}
          </Box>
        ))}
      </Flex>
      {add && photos.length < MAX_PHOTOS && (
        <>
          <chakra.label
            htmlFor={id}
            display="inline-flex"
            alignItems="center"
            minHeight="44px"
            px={4}
            borderWidth="2px"
            borderColor="rim"
            borderRadius="10px"
            fontWeight={600}
            cursor="pointer"
            _focusWithin={{ outline: '3px solid', outlineColor: 'liquid', outlineOffset: '2px' }}
          >
            Add a photo
            <chakra.input
              id={id}
              type="file"
              disabled={!may}
              accept="image/*"
              multiple
              position="absolute"
              w="1px"
              h="1px"
              opacity={0}
              onChange={(event) => {
                void take(event.target.files);
                event.target.value = '';
              }}
            />
          </chakra.label>
          <Text color="soft" fontSize="small" mt={1}>
            Photos stay in this browser. They are in no export.
          </Text>
        </>
      )}
      {failed && (
        <Text role="alert" color="caution" fontWeight={600}>
          {failed}
        </Text>
      )}
    </Box>
  );
}
