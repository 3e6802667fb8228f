//! A request filled in and checked: the pot over its burner, and the meat it is eaten with.

use super::choices::{Skim, Target, Taste, Thickener};
use super::cooking_liquid::CookingLiquid;
use super::moves::check_moves;
use super::plate::{MeatOnPlate, bears_g_per_kg};
use super::request::SauceRequest;
use super::thicken::DREDGED_COUNTS;
use crate::error::{Result, Unit, in_range};
use crate::heat::hob::HobKind;
use crate::heat::pot::{Lid, Pot};
use ergastic_physics::steam::LATENT_HEAT;

/// Share of a burner's power that ends as steam where nobody says what heats it: between a flame and induction.
const BURNER_SHARE: f64 = 0.5;
/// Beyond this an open surface spits and its floor scorches, kg/(m² s). Working value.
const SPITS_FROM: f64 = 45.0 / 3600.0;

/// Water that leaves an open pot at a full boil, kg/s: what the burner boils off, by its energy.
pub(crate) fn boils_off_kg_s(hob_w: f64, kind: Option<HobKind>) -> f64 {
    kind.map_or(BURNER_SHARE, HobKind::share) * hob_w / LATENT_HEAT
}

/// What does not change on the way.
pub(super) struct Stove {
    pub pot: Pot,
    pub boils_off_kg_s: f64,
    /// Share of the liquid that is thickened tonight.
    pub share: f64,
    pub meat_kg: f64,
    /// The meat it is eaten with, where its salt is known.
    pub meat: Option<MeatOnPlate>,
    /// Vegetables that come out, kg.
    pub vegetables_kg: f64,
    pub bitter: bool,
    pub skim: Skim,
    pub taste: Taste,
    pub target: Target,
    pub thickener: Thickener,
}

impl Stove {
    /// The stove, and the liquid that stands on it.
    ///
    /// # Errors
    /// Names the field that can't be used.
    pub(super) fn of(request: &SauceRequest) -> Result<(Self, CookingLiquid)> {
        let vessel = request.vessel.clone().unwrap_or_default();
        let pot = vessel.resolve(Lid::None).map_err(|error| error.within("vessel"))?;
        let liquid_l = in_range("liquid_l", request.liquid_l.unwrap_or(1.0), 0.02, 60.0, Unit::Litres)?;
        let fat_l = match request.fat_mm {
            Some(depth) => in_range("fat_mm", depth, 0.0, 100.0, Unit::Millimetres)? * pot.floor_m2,
            None => in_range("fat_l", request.fat_l.unwrap_or(0.0), 0.0, 20.0, Unit::Litres)?,
        };
        let hob_w = in_range("hob_w", request.hob_w.unwrap_or(1800.0), 200.0, 20_000.0, Unit::Watts)?;
        let grams = |field, given: Option<f64>, most| in_range(field, given.unwrap_or(0.0), 0.0, most, Unit::Grams);
        let kilos = |field, given: Option<f64>| in_range(field, given.unwrap_or(0.0), 0.0, 60.0, Unit::Kilograms);
        let meat_kg = kilos("meat_kg", request.meat_kg)?;
        let meat_salt_g = request.meat_salt_g.map(|given| grams("meat_salt_g", Some(given), 2000.0)).transpose()?;
        let dredged_g = grams("dredged_flour_g", request.dredged_flour_g, 2000.0)?;
        let stands = CookingLiquid {
            liquid_l,
            fat_l,
            salt_g: grams("salt_g", Some(request.salt_g.unwrap_or(liquid_l * 8.0)), 2000.0)?,
            gelatin_g: grams("gelatin_g", request.gelatin_g, 2000.0)?,
            sugar_g: grams("sugar_g", request.sugar_g, 5000.0)?,
            acid_g: grams("acid_g", request.acid_g, 1000.0)?,
            ..Thickener::Flour.starch(DREDGED_COUNTS * dredged_g)
        };
        for (field, moves) in [("done", Some(&request.done)), ("moves", request.moves.as_ref())] {
            check_moves(field, moves.map_or(&[], Vec::as_slice))?;
        }
        let stove = Self {
            boils_off_kg_s: boils_off_kg_s(hob_w, request.hob_kind),
            share: in_range("share", request.share.unwrap_or(1.0), 0.0, 1.0, Unit::None)?,
            meat: meat_salt_g.filter(|_| meat_kg > 0.0).map(|salt_g| MeatOnPlate { salt_g, kg: meat_kg }),
            vegetables_kg: kilos("vegetables_kg", request.vegetables_kg)?,
            bitter: request.bitter,
            skim: request.skim,
            taste: request.taste,
            target: request.target,
            thickener: request.thickener,
            meat_kg,
            pot,
        };
        Ok((stove, stands))
    }

    /// Below this the plate, or the sauce by itself, grows too salty with so much salt in it, L.
    pub(super) fn stop_l(&self, salt_g: f64) -> f64 {
        let alone_l = salt_g / bears_g_per_kg(self.target == Target::Glaze);
        let on_plate_l = self.meat.map_or(0.0, |meat| meat.stop_l(salt_g, meat.eats_l(f64::INFINITY, false)));
        f64::max(alone_l, on_plate_l)
    }

    /// Meat and so much sauce eaten together, g/kg.
    pub(super) fn plate_g_per_kg(&self, cooking_liquid: &CookingLiquid) -> Option<f64> {
        let meat = self.meat?;
        Some(
            meat.with(
                cooking_liquid.salt_g_per_kg(),
                meat.eats_l(cooking_liquid.liquid_l, self.target == Target::Broth),
            ),
        )
    }

    /// Minutes to boil off so much, L.
    pub(super) fn boiling_min(&self, litres: f64) -> f64 {
        litres.max(0.0) / self.boils_off_kg_s / 60.0
    }

    /// Whether the burner is too much for so narrow a pot.
    pub(super) fn spits(&self) -> bool {
        self.boils_off_kg_s > SPITS_FROM * self.pot.floor_m2
    }

    /// How deep something stands in the pot, mm.
    pub(super) fn depth_mm(&self, litres: f64) -> f64 {
        litres / self.pot.floor_m2
    }
}
