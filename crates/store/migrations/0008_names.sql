-- Tables and columns under the names that are spoken: a device, the trash. Lists are made again: what they kept has the old names in it.
ALTER TABLE screen RENAME TO device;
ALTER TABLE cook_event RENAME COLUMN screen TO device;
ALTER TABLE plan_bin RENAME TO plan_trash;
ALTER TABLE plan_trash RENAME COLUMN binned_at TO deleted_at;
ALTER TABLE cook RENAME COLUMN binned_at TO deleted_at;
ALTER TABLE cook_summary RENAME COLUMN binned TO deleted;
DELETE FROM cook_summary;
