//! From a request to a case with nothing left open: defaults, ranges, and what was assumed.

use super::answer::Assumed;
use super::request::{ForecastRequest, HeatSource, Method};
use crate::cuts::CutFacts;
use crate::error::{Error, Result, in_range};
use crate::heat::conduction::{DENSITY, Shape};
use crate::heat::pot::{Lid, Pot, Simmer};
use crate::heat::steam::boiling_point;
use crate::liquid::Packing;
use crate::tender::{Age, EatenAs, Goal};

/// The heat of a pot, resolved.
#[derive(Debug, Clone, Copy, PartialEq)]
pub enum PotHeat {
    /// On the hob at a simmer.
    Hob(Simmer),
    /// Brought to a simmer on the hob, then in the oven.
    Oven {
        /// Set point, °C.
        set_c: f64,
        /// Fan on.
        fan: bool,
    },
}

/// A request with every field filled in.
#[derive(Debug, Clone)]
pub struct Case {
    /// The cut.
    pub facts: &'static CutFacts,
    /// Raw, bone in, kg.
    pub mass_kg: f64,
    /// Pieces.
    pub pieces: u32,
    /// Sides of the largest piece, m, from the shortest.
    pub sides_m: [f64; 3],
    /// Its equivalent body.
    pub shape: Shape,
    /// Meat at the start, °C.
    pub start_c: f64,
    /// What "done" means.
    pub eaten_as: EatenAs,
    /// Tender-hours to reach.
    pub goal: Goal,
    /// Way of cooking.
    pub method: Method,
    /// Its heat.
    pub heat: PotHeat,
    /// The pot.
    pub pot: Pot,
    /// The meat in it.
    pub packing: Packing,
    /// Liquid poured in, L.
    pub liquid_l: f64,
    /// Its temperature, °C.
    pub liquid_start_c: f64,
    /// Local boil, °C.
    pub boil_c: f64,
    /// When it has to be tender, s.
    pub deadline_s: Option<f64>,
    /// Simulated cooks.
    pub members: usize,
    /// Seed.
    pub seed: u64,
    /// Answer the inside too.
    pub inside: bool,
    /// What was filled in.
    pub assumed: Vec<Assumed>,
    /// Oddities worth saying.
    pub notes: Vec<String>,
}

/// Fills in defaults and remembers each one.
struct Fill(Vec<Assumed>);

impl Fill {
    fn or<T: std::fmt::Debug + Copy>(
        &mut self,
        field: &str,
        given: Option<T>,
        default: T,
        why: &str,
        show: impl Fn(T) -> String,
    ) -> T {
        given.unwrap_or_else(|| {
            self.0.push(Assumed { field: field.to_owned(), value: show(default), why: why.to_owned() });
            default
        })
    }
}

impl ForecastRequest {
    /// Checks every field and fills in what was left out.
    ///
    /// # Errors
    /// Names the first field that can't be used, with what is allowed. A tender cut is not an
    /// error here: ask [`crate::cuts::Cut::refusal`] first.
    pub fn resolve(&self) -> Result<Case> {
        if self.parts.is_some() {
            return Err(Error::new(
                "parts",
                "a mixed pot",
                "mixed pots aren't forecast yet; forecast each cut by itself",
            ));
        }
        if self.stages.is_some() {
            return Err(Error::new(
                "stages",
                "a chain",
                "chained ways aren't forecast yet; give one method and its heat",
            ));
        }
        let cut = self.cut.ok_or_else(|| Error::new("cut", "nothing", "name a cut, such as \"chuck\" or \"shin\""))?;
        let method = self.method.ok_or_else(|| Error::new("method", "nothing", "name a way, such as \"braise\""))?;
        if !matches!(method, Method::Braise | Method::Stew) {
            return Err(Error::new(
                "method",
                format!("{method:?}").to_lowercase(),
                "only braise and stew are forecast yet",
            ));
        }
        let facts = cut.facts();
        let mut fill = Fill(Vec::new());
        let mut notes = Vec::new();

        let (mass_kg, pieces, sides_m) = self.resolve_piece(facts, method, &mut fill, &mut notes)?;
        let start_c = fill.or("start_c", self.start_c, 5.0, "straight from the cold", |v| format!("{v:.0} °C"));
        if start_c < -1.0 {
            return Err(Error::new(
                "start_c",
                start_c,
                "frozen meat isn't forecast yet; thaw it first, in the cold, and give −1 to 40 °C",
            ));
        }
        in_range("start_c", start_c, -1.0, 40.0, "°C")?;
        let altitude_m = fill.or("altitude_m", self.altitude_m, 0.0, "at sea level", |v| format!("{v:.0} m"));
        let boil_c = boiling_point(in_range("altitude_m", altitude_m, -430.0, 6000.0, "m")?);

        let heat = self.resolve_heat(method, &mut fill)?;
        let lid = match heat {
            PotHeat::Hob(_) => Lid::Loose,
            PotHeat::Oven { .. } => Lid::Tight,
        };
        let vessel = self.vessel.clone().unwrap_or_default();
        if vessel.diameter_cm.is_none() && vessel.width_cm.is_none() && vessel.length_cm.is_none() {
            fill.0.push(Assumed {
                field: "vessel".into(),
                value: "26 cm round iron pot".into(),
                why: "a common size".into(),
            });
        }
        if vessel.lid.is_none() {
            fill.0.push(Assumed {
                field: "vessel.lid".into(),
                value: lid.words().into(),
                why: "usual for this heat".into(),
            });
        }
        let pot = vessel.resolve(lid).map_err(|error| error.within("vessel"))?;
        let meat_m3 = mass_kg / DENSITY;
        if meat_m3 > 0.9 * pot.volume_m3() {
            let holds = pot.volume_m3() * 0.9 * DENSITY;
            return Err(Error::new(
                "mass_kg",
                mass_kg,
                format!("this vessel takes {holds:.1} kg at most; take a larger pot, or two"),
            ));
        }
        let packing = Packing::lay(&pot, sides_m, pieces, meat_m3);
        let usual_share = if method == Method::Stew { 1.0 } else { 0.75 };
        let usual_l = packing.litres_for(usual_share).clamp(0.3, 40.0);
        let level_words = if method == Method::Stew { "just covered" } else { "three quarters up the meat" };
        let liquid_l =
            fill.or("liquid_l", self.liquid_l, (usual_l * 20.0).round() / 20.0, level_words, |v| format!("{v:.2} L"));
        in_range("liquid_l", liquid_l, 0.05, 60.0, "L")?;
        if liquid_l / 1000.0 + meat_m3 > pot.volume_m3() {
            let room = (pot.volume_m3() - meat_m3) * 1000.0;
            notes.push(format!("Meat and liquid overflow this pot: there is room for {room:.1} L beside the meat."));
        }
        let liquid_start_c = fill
            .or("liquid_start_c", self.liquid_start_c, 60.0, "hot liquid onto seared meat", |v| format!("{v:.0} °C"));
        in_range("liquid_start_c", liquid_start_c, 0.0, 100.0, "°C")?;

        let eaten_as =
            fill.or("eaten_as", self.eaten_as, facts.eaten_as, "how this cut is usually eaten", |v| v.word().into());
        let age = fill.or("age", self.age, Age::Young, "most beef is", |_| "young".into());
        let rolling = heat == PotHeat::Hob(Simmer::Boil);
        let goal = Goal::new(facts, eaten_as, age, self.grass_fed.unwrap_or(false), rolling);
        let deadline_s = match self.deadline_min {
            Some(minutes) => Some(in_range("deadline_min", minutes, 0.0, 14_400.0, "min")? * 60.0),
            None => None,
        };
        let members = self.members.unwrap_or(1000);
        in_range("members", f64::from(members), 1.0, 20_000.0, "")?;
        Ok(Case {
            facts,
            mass_kg,
            pieces,
            sides_m,
            shape: Shape::from_sides(sides_m),
            start_c,
            eaten_as,
            goal,
            method,
            heat,
            pot,
            packing,
            liquid_l,
            liquid_start_c: f64::min(liquid_start_c, boil_c),
            boil_c,
            deadline_s,
            members: members as usize,
            seed: self.seed.unwrap_or(1),
            inside: self.inside.unwrap_or(false),
            assumed: fill.0,
            notes,
        })
    }

    /// Mass, number and sides: what the cook typed wins, the rest follows from the cut's usual proportions.
    fn resolve_piece(
        &self,
        facts: &CutFacts,
        method: Method,
        fill: &mut Fill,
        notes: &mut Vec<String>,
    ) -> Result<(f64, u32, [f64; 3])> {
        for (name, side) in ["size_mm[0]", "size_mm[1]", "size_mm[2]"].iter().zip(self.size_mm.unwrap_or([50.0; 3])) {
            in_range(name, side, 5.0, 1200.0, "mm")?;
        }
        if let Some(pieces) = self.pieces {
            in_range("pieces", f64::from(pieces), 1.0, 500.0, "")?;
        }
        let usual_pieces = |mass: f64| match self.size_mm {
            Some([a, b, c]) => (mass / (a * b * c * 1e-9 * DENSITY)).round().clamp(1.0, 500.0) as u32,
            None if method == Method::Stew => (mass / 0.065).ceil().clamp(1.0, 500.0) as u32,
            None => (mass / facts.piece_kg).round().clamp(1.0, 500.0) as u32,
        };
        let default_mass = match (self.size_mm, self.pieces) {
            (Some([a, b, c]), pieces) => a * b * c * 1e-9 * DENSITY * f64::from(pieces.unwrap_or(1)),
            (None, Some(pieces)) => facts.piece_kg * f64::from(pieces),
            (None, None) => f64::max(1.0, facts.piece_kg),
        };
        let mass_kg = fill.or("mass_kg", self.mass_kg, default_mass, "a usual piece", |v| format!("{v:.2} kg"));
        in_range("mass_kg", mass_kg, 0.05, 40.0, "kg")?;
        let pieces = fill.or("pieces", self.pieces, usual_pieces(mass_kg), "as it usually comes", |v| v.to_string());
        let piece_m3 = mass_kg / f64::from(pieces) / DENSITY;
        let [middle, long] = if method == Method::Stew && self.pieces.is_none() { [1.0, 1.0] } else { facts.aspect };
        let usual_l1 = (piece_m3 / (middle * long)).cbrt();
        let mut sides_m = match (self.size_mm, self.thickness_mm) {
            (Some(size), _) => size.map(|side| side / 1000.0),
            (None, Some(thickness)) => {
                let l1 = in_range("thickness_mm", thickness, 5.0, 300.0, "mm")? / 1000.0;
                let across = (piece_m3 / l1 / (middle * long)).sqrt();
                [l1, across * middle, across * long]
            }
            (None, None) => {
                let sides = [usual_l1, usual_l1 * middle, usual_l1 * long];
                let shown = sides.map(|side| format!("{:.0}", side * 1000.0)).join(" × ");
                fill.0.push(Assumed {
                    field: "size_mm".into(),
                    value: format!("{shown} mm"),
                    why: "from the mass and the cut's usual shape".into(),
                });
                sides
            }
        };
        sides_m.sort_by(f64::total_cmp);
        let box_kg = sides_m.iter().product::<f64>() * DENSITY * f64::from(pieces);
        if self.size_mm.is_some() && self.mass_kg.is_some() && !(0.667..=1.5).contains(&(mass_kg / box_kg)) {
            notes.push(format!(
                "The size and the mass disagree: {pieces} of that size would weigh about {box_kg:.1} kg, not {mass_kg:.1} kg. The size rules the time, the mass the amounts."
            ));
        }
        Ok((mass_kg, pieces, sides_m))
    }

    fn resolve_heat(&self, method: Method, fill: &mut Fill) -> Result<PotHeat> {
        let heat = self.heat.clone().unwrap_or_default();
        let foreign = [
            ("level", heat.level.is_some()),
            ("gauge_kpa", heat.gauge_kpa.is_some()),
            ("at_pressure_min", heat.at_pressure_min.is_some()),
            ("release", heat.release.is_some()),
            ("pit_c", heat.pit_c.is_some()),
            ("wrap", heat.wrap.is_some()),
            ("fat_c", heat.fat_c.is_some()),
            ("setting", heat.setting.is_some()),
            ("bath_c", heat.bath_c.is_some()),
            ("at_c", heat.at_c.is_some()),
            ("to_c", heat.to_c.is_some()),
        ];
        if let Some((name, _)) = foreign.iter().find(|(_, given)| *given) {
            return Err(Error::new(
                format!("heat.{name}"),
                "a value",
                "it does not go with a braise or stew; give source with set_c or simmer",
            ));
        }
        let default = if heat.set_c.is_some() || (heat.simmer.is_none() && method == Method::Braise) {
            HeatSource::Oven
        } else {
            HeatSource::Hob
        };
        let source =
            fill.or("heat.source", heat.source, default, "usual for this way", |v| format!("{v:?}").to_lowercase());
        match source {
            HeatSource::Coals => Err(Error::new("heat.source", "coals", "coals aren't forecast yet; give oven or hob")),
            HeatSource::Hob => {
                if heat.set_c.is_some() {
                    return Err(Error::new(
                        "heat.set_c",
                        heat.set_c.unwrap_or_default(),
                        "a hob has no set temperature; give simmer",
                    ));
                }
                Ok(PotHeat::Hob(fill.or("heat.simmer", heat.simmer, Simmer::Gentle, "simmer, don't boil", |v| {
                    format!("{v:?}").to_lowercase()
                })))
            }
            HeatSource::Oven => {
                if heat.simmer.is_some() {
                    return Err(Error::new("heat.simmer", "a word", "an oven is set by set_c, not by a simmer"));
                }
                let set_c =
                    fill.or("heat.set_c", heat.set_c, 150.0, "a middling braising oven", |v| format!("{v:.0} °C"));
                Ok(PotHeat::Oven {
                    set_c: in_range("heat.set_c", set_c, 80.0, 260.0, "°C")?,
                    fan: heat.fan.unwrap_or(false),
                })
            }
        }
    }
}
