//! The steps from an empty database to today's: each file of `migrations`, in its order.

use std::borrow::Cow;

use sqlx::migrate::{Migration, MigrationType, Migrator};

/// Number, name and text of each file `migrations/000N_name.sql`.
const STEPS: [(i64, &str, &str); 8] = [
    (1, "kitchen", include_str!("../migrations/0001_kitchen.sql")),
    (2, "standing", include_str!("../migrations/0002_standing.sql")),
    (3, "format", include_str!("../migrations/0003_format.sql")),
    (4, "kitchen version", include_str!("../migrations/0004_kitchen_version.sql")),
    (5, "told task", include_str!("../migrations/0005_told_task.sql")),
    (6, "screens", include_str!("../migrations/0006_screens.sql")),
    (7, "kitchen versions", include_str!("../migrations/0007_kitchen_versions.sql")),
    (8, "names", include_str!("../migrations/0008_names.sql")),
];

/// The newest version this program knows.
pub(crate) const NEWEST: i64 = STEPS[STEPS.len() - 1].0;

/// What brings a database up to date.
pub(crate) fn migrator() -> Migrator {
    let step = |(version, name, sql): (i64, &'static str, &'static str)| {
        Migration::new(version, Cow::Borrowed(name), MigrationType::Simple, sqlx::SqlStr::from_static(sql), false)
    };
    Migrator::with_migrations(STEPS.map(step).to_vec())
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn every_file_is_a_step_in_its_order() {
        let folder = std::path::Path::new(env!("CARGO_MANIFEST_DIR")).join("migrations");
        let mut files: Vec<String> =
            std::fs::read_dir(folder).unwrap().map(|file| file.unwrap().file_name().into_string().unwrap()).collect();
        files.sort();
        let named = STEPS.map(|(number, name, _)| format!("{number:04}_{}.sql", name.replace(' ', "_")));
        assert_eq!(files, named);
        assert!((1..).zip(STEPS).all(|(number, step)| number == step.0));
    }
}
