//! The meat as it is described in every request: one struct, its fields pasted into those that carry them flat.

use serde::{Deserialize, Serialize};
use serde_with::skip_serializing_none;
use utoipa::ToSchema;

use crate::cuts::{Cut, EatenAs};
use crate::tender::Age;

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

/// One cut or size: what lies on the block, or one part of a mixed pot.
#[skip_serializing_none]
#[derive(Debug, Clone, Default, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields, default)]
pub struct Meat {
    /// Which cut.
    pub cut: Option<Cut>,
    /// Raw, bone in, kg.
    #[schema(minimum = 0.05, maximum = 40)]
    pub mass_kg: Option<f64>,
    /// How many pieces.
    #[schema(minimum = 1, maximum = 500)]
    pub pieces: Option<u32>,
    /// The sides of the largest piece, mm.
    #[schema(schema_with = crate::forecast::size_mm_schema)]
    pub size_mm: Option<[f64; 3]>,
    /// Thickness of the largest piece alone, mm.
    #[schema(minimum = 5, maximum = 300)]
    pub thickness_mm: Option<f64>,
    /// Bone, % of the raw mass, where it is not what this cut usually has.
    #[schema(minimum = 0, maximum = 80)]
    pub bone_pct: Option<f64>,
    /// Trimmed off, % of the raw mass, where it is not what this cut usually loses.
    #[schema(minimum = 0, maximum = 40)]
    pub trim_pct: Option<f64>,
    /// How old the animal was.
    pub age: Option<Age>,
    /// Fed on grass.
    pub grass_fed: Option<bool>,
    /// What "done" means for this part.
    pub eaten_as: Option<EatenAs>,
}

/// Pastes the fields of [`Meat`] into a request that carries them flat: `serde(flatten)` would let unknown fields pass and
/// lose the path of what is wrong.
macro_rules! with_meat {
    ($(#[$attribute:meta])* pub struct $name:ident { $($rest:tt)* }) => {
        $(#[$attribute])*
        pub struct $name {
                /// Which cut.
                pub cut: Option<$crate::cuts::Cut>,
                /// Raw, bone in, kg.
                #[schema(minimum = 0.05, maximum = 40)]
                pub mass_kg: Option<f64>,
                /// How many pieces.
                #[schema(minimum = 1, maximum = 500)]
                pub pieces: Option<u32>,
                /// The sides of the largest piece, mm.
                #[schema(schema_with = $crate::forecast::size_mm_schema)]
                pub size_mm: Option<[f64; 3]>,
                /// Thickness of the largest piece alone, mm.
                #[schema(minimum = 5, maximum = 300)]
                pub thickness_mm: Option<f64>,
                /// Bone, % of the raw mass, where it is not what this cut usually has.
                #[schema(minimum = 0, maximum = 80)]
                pub bone_pct: Option<f64>,
                /// Trimmed off, % of the raw mass, where it is not what this cut usually loses.
                #[schema(minimum = 0, maximum = 40)]
                pub trim_pct: Option<f64>,
                /// How old the animal was.
                pub age: Option<$crate::tender::Age>,
                /// Fed on grass.
                pub grass_fed: Option<bool>,
                /// What "done" means for this part.
                pub eaten_as: Option<$crate::cuts::EatenAs>,
            $($rest)*
        }

        impl $name {
            /// The meat, as one part of a pot.
            pub fn meat(&self) -> $crate::forecast::Meat {
                $crate::forecast::Meat {
                    cut: self.cut,
                    mass_kg: self.mass_kg,
                    pieces: self.pieces,
                    size_mm: self.size_mm,
                    thickness_mm: self.thickness_mm,
                    bone_pct: self.bone_pct,
                    trim_pct: self.trim_pct,
                    age: self.age,
                    grass_fed: self.grass_fed,
                    eaten_as: self.eaten_as,
                }
            }

            /// The same request for other meat.
            #[must_use]
            pub fn with_meat(self, meat: $crate::forecast::Meat) -> Self {
                let $crate::forecast::Meat {
                    cut, mass_kg, pieces, size_mm, thickness_mm, bone_pct, trim_pct, age, grass_fed, eaten_as
                } = meat;
                Self { cut, mass_kg, pieces, size_mm, thickness_mm, bone_pct, trim_pct, age, grass_fed, eaten_as, ..self }
            }
        }
    };
}
pub(crate) use with_meat;
