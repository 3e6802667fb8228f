//! The meat: mass, number and sides. What the cook typed wins, the rest follows from the cut's usual proportions.

use super::super::meat::Meat;
use super::case::ResolvedPart;
use crate::cuts::{Cut, STEWING_PIECE_M};
use crate::ways::Fill;
use ergastic_words::{Length, Mass, Message, Size, cuts, errors, forecast as say};

use crate::cuts::EatenAs;
use crate::error::{Error, Result, Unit, WhatIsWrong, in_range};
use crate::tender::{Age, Wears, goal};
use crate::ways::Method;
use ergastic_physics::body::{BodyShape, DENSITY};
use ergastic_physics::parameters::Parameters;

/// A piece no thinner than this is cut up for a stew, m.
const STEW_CUBE_KG: f64 = 0.065;

/// What is said where no cut is named.
pub(super) fn no_cut() -> Error {
    Error::missing("cut", errors::name_a_cut())
}

/// A piece of some mass is at most so thick, as a share of the cube's side that it would make, unless it usually is thicker. Working
/// value: from there on the equivalent body of a thicker piece would be done sooner.
const THICKEST: f64 = 0.7;

/// How thick a piece of so much can be, m, with its usual proportions.
fn thickest(piece_m3: f64, [middle, long]: [f64; 2]) -> f64 {
    piece_m3.cbrt() * f64::max(THICKEST, 1.0 / (middle * long).cbrt())
}

/// Sides of a piece of so much that is so thick, m. As thin as usual its other two stand in their usual proportion; thicker, it grows
/// square.
fn at_thickness(thick: f64, piece_m3: f64, [middle, long]: [f64; 2]) -> [f64; 3] {
    let usual = piece_m3.cbrt() / (middle * long).cbrt();
    let room = thickest(piece_m3, [middle, long]) - usual;
    let grown = if room > 0.0 { ((thick - usual) / room).clamp(0.0, 1.0) } else { 0.0 };
    let longer = (long / middle).powf(1.0 - grown);
    let middle_m = f64::max((piece_m3 / thick / longer).sqrt(), thick);
    [thick, middle_m, piece_m3 / (thick * middle_m)]
}

impl Meat {
    /// Fills in one part.
    ///
    /// # Errors
    /// Names the first field that can't be used. A tender cut is refused here: ask [`Cut::refusal`] first.
    pub(super) fn resolve(
        &self,
        p: &Parameters,
        method: Method,
        wears: Wears,
        fill: &mut Fill,
        notes: &mut Vec<Message>,
    ) -> Result<ResolvedPart> {
        let cut = self.cut.ok_or_else(no_cut)?;
        if let Some(why) = cut.refusal() {
            return Err(Error::new(WhatIsWrong::Unsuitable, "cut", cut.key(), why));
        }
        let facts = cut.facts();
        let (mass_kg, pieces, sides_m) = self.measure(cut, method, fill, notes)?;
        let usual = if method == Method::Smoke && facts.eaten_as == EatenAs::Slice && cut.is_for_the_pit() {
            EatenAs::Probe
        } else {
            facts.eaten_as
        };
        let eaten_as = fill.or("eaten_as", self.eaten_as, usual, say::as_eaten, |v| cuts::eaten(v.key()));
        let age = fill.or("age", self.age, Age::Young, say::most_beef, |_| say::young_beef());
        let wears = Wears { small_and_wet: wears.small_and_wet && sides_m[0] <= STEWING_PIECE_M, ..wears };
        Ok(ResolvedPart {
            facts,
            mass_kg,
            pieces,
            sides_m,
            shape: BodyShape::from_sides(sides_m),
            eaten_as,
            goal: goal(p, facts, eaten_as, age, self.grass_fed.unwrap_or(false), wears),
            bone_pct: in_range("bone_pct", self.bone_pct.unwrap_or(facts.bone_pct), 0.0, 80.0, Unit::Percent)?,
            trim_pct: in_range("trim_pct", self.trim_pct.unwrap_or(facts.trim_pct), 0.0, 40.0, Unit::Percent)?,
            measured: self.size_mm.is_some() || self.thickness_mm.is_some(),
        })
    }

    fn measure(
        &self,
        cut: Cut,
        method: Method,
        fill: &mut Fill,
        notes: &mut Vec<Message>,
    ) -> Result<(f64, u32, [f64; 3])> {
        let facts = cut.facts();
        if let Some(size) = self.size_mm {
            for (name, side) in ["size_mm[0]", "size_mm[1]", "size_mm[2]"].iter().zip(size) {
                in_range(name, side, 5.0, 1200.0, Unit::Millimetres)?;
            }
            let thinnest = size.iter().copied().fold(f64::INFINITY, f64::min);
            in_range("size_mm", thinnest, 5.0, 300.0, Unit::Millimetres)?;
            if let Some(thickness) = self.thickness_mm {
                return Err(Error::new(WhatIsWrong::Clash, "thickness_mm", thickness, errors::size_or_thickness()));
            }
        }
        if let Some(pieces) = self.pieces {
            in_range("pieces", f64::from(pieces), 1.0, 500.0, Unit::None)?;
        }
        let usual_pieces = |mass: f64| match self.size_mm {
            Some([a, b, c]) => (mass / (a * b * c * 1e-9 * DENSITY)).round().clamp(1.0, 500.0) as u32,
            None if method == Method::Stew => (mass / STEW_CUBE_KG).ceil().clamp(1.0, 500.0) as u32,
            None => (mass / facts.piece_kg).round().clamp(1.0, 500.0) as u32,
        };
        let default_mass = match (self.size_mm, self.pieces) {
            (Some([a, b, c]), pieces) => {
                (a * b * c * 1e-9 * DENSITY * f64::from(pieces.unwrap_or(1))).clamp(0.05, 40.0)
            }
            (None, Some(pieces)) => (facts.piece_kg * f64::from(pieces)).clamp(0.05, 40.0),
            (None, None) => f64::max(1.0, facts.piece_kg),
        };
        let mass_kg =
            fill.or("mass_kg", self.mass_kg, default_mass, say::a_usual_piece, |kg| Message::quantity(Mass(kg)));
        in_range("mass_kg", mass_kg, 0.05, 40.0, Unit::Kilograms)?;
        let pieces = fill.or("pieces", self.pieces, usual_pieces(mass_kg), say::as_it_comes, errors::count);
        let piece_m3 = mass_kg / f64::from(pieces) / DENSITY;
        let [middle, long] = if method == Method::Stew && self.pieces.is_none() { [1.0, 1.0] } else { facts.aspect };
        let usual_l1 = (piece_m3 / (middle * long)).cbrt();
        let mut sides_m = match (self.size_mm, self.thickness_mm) {
            (Some(size), _) => size.map(|side| side / 1000.0),
            (None, Some(thickness)) => {
                let l1 = in_range("thickness_mm", thickness, 5.0, 300.0, Unit::Millimetres)? / 1000.0;
                let most = thickest(piece_m3, [middle, long]);
                if l1 > 1.02 * most {
                    notes.push(say::no_thicker(Mass(mass_kg / f64::from(pieces)), Length(most * 1000.0)));
                }
                at_thickness(l1.min(most), piece_m3, [middle, long])
            }
            (None, None) => {
                let sides = [usual_l1, usual_l1 * middle, usual_l1 * long];
                let shown = Message::quantity(Size(sides.map(|side| side * 1000.0)));
                fill.with("size_mm", shown, say::from_the_mass());
                sides
            }
        };
        sides_m.sort_by(f64::total_cmp);
        let box_kg = sides_m.iter().product::<f64>() * DENSITY * f64::from(pieces);
        if self.size_mm.is_some() && self.mass_kg.is_some() && !(0.667..=1.5).contains(&(mass_kg / box_kg)) {
            notes.push(say::size_and_mass_disagree(pieces, Mass(box_kg), Mass(mass_kg)));
        }
        Ok((mass_kg, pieces, sides_m))
    }
}
