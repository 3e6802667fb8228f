//! The meat as it is described in every request: one struct, its fields pasted into those that carry them flat.

use serde::{Deserialize, Serialize};
use serde_with::skip_serializing_none;
use utoipa::ToSchema;

/// Three sides in mm, in the API's document: a list's items take no bounds of their own from an attribute.
pub fn size_mm_schema() -> utoipa::openapi::schema::Array {
    use utoipa::openapi::schema::{ArrayBuilder, ObjectBuilder, SchemaType, Type};
    let side = ObjectBuilder::new().schema_type(Type::Number).minimum(Some(5.0)).maximum(Some(1200.0));
    ArrayBuilder::new()
        .schema_type(SchemaType::from_iter([Type::Array, Type::Null]))
        .description(Some("The sides of the largest piece, mm."))
        .items(side)
        .min_items(Some(3))
        .max_items(Some(3))
        .build()
}

/// The fields that describe meat, handed to another macro: they are written here and nowhere else.
macro_rules! of_meat {
    ($then:path; $($rest:tt)*) => {
        $then! {
            {
                /// Which cut.
                cut: $crate::cuts::Cut,
                /// Raw, bone in, kg.
                #[schema(minimum = 0.05, maximum = 40)]
                mass_kg: f64,
                /// How many pieces.
                #[schema(minimum = 1, maximum = 500)]
                pieces: u32,
                /// The sides of the largest piece, mm.
                #[schema(schema_with = $crate::forecast::size_mm_schema)]
                size_mm: [f64; 3],
                /// Thickness of the largest piece alone, mm.
                #[schema(minimum = 5, maximum = 300)]
                thickness_mm: f64,
                /// Bone, % of the raw mass, where it is not what this cut usually has.
                #[schema(minimum = 0, maximum = 80)]
                bone_pct: f64,
                /// Trimmed off, % of the raw mass, where it is not what this cut usually loses.
                #[schema(minimum = 0, maximum = 40)]
                trim_pct: f64,
                /// How old the animal was.
                age: $crate::tender::Age,
                /// Fed on grass.
                grass_fed: bool,
                /// What "done" means for this part.
                eaten_as: $crate::cuts::EatenAs,
            }
            $($rest)*
        }
    };
}
pub(crate) use of_meat;

/// A struct of the meat's fields and others after them.
macro_rules! described {
    (
        { $($(#[$of:meta])* $field:ident: $type:ty,)+ }
        $(#[$attribute:meta])* pub struct $name:ident { $($rest:tt)* }
    ) => {
        $(#[$attribute])*
        pub struct $name {
            $($(#[$of])* pub $field: Option<$type>,)+
            $($rest)*
        }
    };
}
pub(crate) use described;

/// What a request that carries the meat's fields flat does with them.
macro_rules! carries_meat {
    ({ $($(#[$of:meta])* $field:ident: $type:ty,)+ } $name:ident) => {
        impl $name {
            /// The meat, as one part of a pot.
            pub fn meat(&self) -> $crate::forecast::Meat {
                $crate::forecast::Meat { $($field: self.$field,)+ }
            }

            /// The same request for other meat.
            #[must_use]
            pub fn with_meat(self, meat: $crate::forecast::Meat) -> Self {
                Self { $($field: meat.$field,)+ ..self }
            }
        }
    };
}
pub(crate) use carries_meat;

of_meat! { described;
    /// One cut or size: what lies on the block, or one part of a mixed pot.
    #[skip_serializing_none]
    #[derive(Debug, Clone, Default, PartialEq, Serialize, Deserialize, ToSchema)]
    #[serde(deny_unknown_fields, default)]
    pub struct Meat {}
}

macro_rules! names_its_fields {
    ({ $($(#[$of:meta])* $field:ident: $type:ty,)+ } $name:ident) => {
        impl $name {
            /// The names of its fields, and whether each is given.
            pub fn given(&self) -> Vec<(&'static str, bool)> {
                vec![$((stringify!($field), self.$field.is_some()),)+]
            }
        }
    };
}
of_meat! { names_its_fields; Meat }

/// Pastes the fields of [`Meat`] into a request that carries them flat: `serde(flatten)` would let unknown fields pass and
/// lose the path of what is wrong.
macro_rules! with_meat {
    ($(#[$attribute:meta])* pub struct $name:ident { $($rest:tt)* }) => {
        $crate::forecast::of_meat! { $crate::forecast::described; $(#[$attribute])* pub struct $name { $($rest)* } }
        $crate::forecast::of_meat! { $crate::forecast::carries_meat; $name }
    };
}
pub(crate) use with_meat;
