//! What surrounds the meat, from a method and its heat.

use super::super::request::{Heat, Mopping};
use super::fill::Fill;
use ergastic_words::{Dial, Message, Span, Temperature, errors, forecast as say};

use crate::error::{Error, Kind, Result, Unit, in_range};
use crate::heat::coals::Coals;
use crate::heat::pot::{Pot, Simmer};
use crate::ways::{
    Cooling, HeatSource, Medium, Method, Release, Settings, Start, USUAL_BATH_C, USUAL_FAT_C, USUAL_KEEP_WARM_C,
    USUAL_OVEN_C, USUAL_PIT_C, USUAL_REHEAT_C, USUAL_WRAP_C,
};
use ergastic_physics::coals;
use ergastic_physics::pit::{Mop, Pit, psychrometric};
use ergastic_physics::pressure::POWER_W;
use ergastic_physics::steam::saturation_temperature;
use ergastic_physics::units::MINUTE_S;

fn celsius(celsius: f64) -> Message {
    Message::quantity(Temperature(celsius))
}

fn dial(celsius: f64) -> Message {
    Message::quantity(Dial(celsius))
}

/// The methods that each field of `heat` belongs to.
fn foreign(heat: &Heat, method: Method) -> Option<(&'static str, &'static str)> {
    use Method::{Braise, Confit, KeepWarm, Pressure, Reheat, SlowCooker, Smoke, Stew, WaterBath};
    let pots: &[Method] = &[Braise, Stew];
    let fields: [(&'static str, bool, &[Method]); 26] = [
        ("source", heat.source.is_some(), pots),
        ("set_c", heat.set_c.is_some(), pots),
        ("fan", heat.fan.is_some(), pots),
        ("simmer", heat.simmer.is_some(), pots),
        ("under", heat.under.is_some(), pots),
        ("over", heat.over.is_some(), pots),
        ("start", heat.start.is_some(), pots),
        ("fresh_every_min", heat.fresh_every_min.is_some(), pots),
        ("wind", heat.wind.is_some(), pots),
        ("air_c", heat.air_c.is_some(), pots),
        ("level", heat.level.is_some(), &[Pressure]),
        ("gauge_kpa", heat.gauge_kpa.is_some(), &[Pressure]),
        ("at_pressure_min", heat.at_pressure_min.is_some(), &[Pressure]),
        ("release", heat.release.is_some(), &[Pressure]),
        ("power_w", heat.power_w.is_some(), &[Pressure]),
        ("pit_c", heat.pit_c.is_some(), &[Smoke]),
        ("wrap", heat.wrap.is_some(), &[Smoke]),
        ("pit_start_c", heat.pit_start_c.is_some(), &[Smoke]),
        ("mop", heat.mop.is_some(), &[Smoke]),
        ("open_every_min", heat.open_every_min.is_some(), &[Smoke]),
        ("tend_every_min", heat.tend_every_min.is_some(), &[Smoke]),
        ("fat_c", heat.fat_c.is_some(), &[Confit]),
        ("setting", heat.setting.is_some(), &[SlowCooker]),
        ("bath_c", heat.bath_c.is_some(), &[WaterBath]),
        ("at_c", heat.at_c.is_some(), &[KeepWarm]),
        ("to_c", heat.to_c.is_some(), &[Reheat]),
    ];
    let takes = match method {
        Braise | Stew => "pots",
        other => other.key(),
    };
    fields.into_iter().find(|(_, given, methods)| *given && !methods.contains(&method)).map(|(name, ..)| (name, takes))
}

/// What a medium is resolved against.
pub struct Place<'a> {
    /// The pot, as far as its size goes.
    pub pot: &'a Pot,
    /// Whether the pot may stand on a hob.
    pub stands_on_a_hob: bool,
    /// Across a round pot, or as wide as a square one is, m.
    pub across_m: f64,
    /// The air's pressure, Pa.
    pub pressure_pa: f64,
    /// Local boil, °C.
    pub boil_c: f64,
    /// The stage before, if there is one.
    pub before: Option<&'a Medium>,
}

impl Heat {
    /// The medium of a method with this heat.
    ///
    /// # Errors
    /// Names the field that is out of range or does not go with the method.
    pub(super) fn resolve(&self, method: Method, place: &Place, fill: &mut Fill) -> Result<Medium> {
        if let Some((name, takes)) = foreign(self, method) {
            let allowed = errors::foreign_heat(method.key(), takes);
            return Err(Error::said(Kind::Clash, format!("heat.{name}"), errors::a_value(), allowed));
        }
        match method {
            Method::Braise | Method::Stew => self.on_a_source(method, place, fill),
            Method::Pressure => self.under_pressure(place, fill),
            Method::Smoke => self.in_the_pit(place, fill),
            Method::Confit => {
                let fat_c = fill.or("heat.fat_c", self.fat_c, USUAL_FAT_C, say::fat_trembles, celsius);
                Ok(Medium::Fat { fat_c: in_range("heat.fat_c", fat_c, 60.0, 130.0, Unit::Celsius)? })
            }
            Method::SlowCooker => {
                let word = |setting: Settings| say::setting(setting.key());
                let setting = fill.or("heat.setting", self.setting, Settings::Low, say::gentler_switch, word);
                Ok(Medium::SlowCooker { setting })
            }
            Method::WaterBath => {
                let bath_c = fill.or("heat.bath_c", self.bath_c, USUAL_BATH_C, say::tender_within_a_night, celsius);
                let most = (place.boil_c - 1.0).floor();
                Ok(Medium::Bath {
                    bath_c: in_range("heat.bath_c", bath_c, crate::safety::MIN_BATH_C, most, Unit::Celsius)?,
                })
            }
            Method::KeepWarm => {
                let at_c = fill.or("heat.at_c", self.at_c, USUAL_KEEP_WARM_C, say::where_pots_hold, celsius);
                Ok(Medium::KeepWarm { at_c: in_range("heat.at_c", at_c, 50.0, 90.0, Unit::Celsius)? })
            }
            Method::Reheat => {
                let to_c = fill.or("heat.to_c", self.to_c, USUAL_REHEAT_C, say::reheating_figure, celsius);
                Ok(Medium::Reheat {
                    to_c: in_range("heat.to_c", to_c, 55.0, f64::min(90.0, place.boil_c - 5.0), Unit::Celsius)?,
                })
            }
            Method::Chill => Ok(Medium::Chill {
                cooling: match place.before {
                    Some(Medium::Bath { .. } | Medium::Chill { cooling: Cooling::InBag }) => Cooling::InBag,
                    Some(Medium::Pit { .. } | Medium::Chill { cooling: Cooling::OnTray }) | None => Cooling::OnTray,
                    Some(_) => Cooling::InLiquid,
                },
            }),
        }
    }

    /// What the pot stands on or in: as it is said, or as the fields given tell.
    fn source(&self, method: Method, fill: &mut Fill) -> Result<HeatSource> {
        let of_an_oven =
            [("set_c", self.set_c.is_some()), ("fan", self.fan.is_some()), ("start", self.start.is_some())];
        let of_coals = [
            ("under", self.under.is_some()),
            ("over", self.over.is_some()),
            ("fresh_every_min", self.fresh_every_min.is_some()),
            ("wind", self.wind.is_some()),
            ("air_c", self.air_c.is_some()),
        ];
        let of_a_hob = [("simmer", self.simmer.is_some())];
        let given = |fields: &[(&str, bool)]| fields.iter().any(|(_, given)| *given);
        let default = if given(&of_an_oven) {
            HeatSource::Oven
        } else if given(&of_coals) {
            HeatSource::Coals
        } else if !given(&of_a_hob) && method == Method::Braise {
            HeatSource::Oven
        } else {
            HeatSource::Hob
        };
        let word = |source: HeatSource| say::source(source.key());
        let source = fill.or("heat.source", self.source, default, say::usual_source, word);
        let only = |owner: HeatSource, fields: &[(&str, bool)], allowed: fn() -> Message| match fields
            .iter()
            .find(|(_, given)| *given && owner != source)
        {
            Some((name, _)) => Err(Error::said(Kind::Clash, format!("heat.{name}"), errors::a_value(), allowed())),
            None => Ok(()),
        };
        only(HeatSource::Hob, &of_a_hob, errors::only_a_hob)?;
        only(HeatSource::Oven, &of_an_oven, errors::only_an_oven)?;
        only(HeatSource::Coals, &of_coals, errors::only_coals)?;
        Ok(source)
    }

    fn on_a_source(&self, method: Method, place: &Place, fill: &mut Fill) -> Result<Medium> {
        match self.source(method, fill)? {
            HeatSource::Hob => {
                let word = |simmer: Simmer| say::simmer(simmer.key());
                let simmer = fill.or("heat.simmer", self.simmer, Simmer::Gentle, say::simmer_dont_boil, word);
                Ok(Medium::Hob { simmer })
            }
            HeatSource::Oven => {
                let set_c = fill.or("heat.set_c", self.set_c, USUAL_OVEN_C, say::middling_oven, dial);
                Ok(Medium::Oven {
                    set_c: in_range("heat.set_c", set_c, 80.0, 260.0, Unit::Celsius)?,
                    fan: self.fan.unwrap_or(false),
                    start: self.start.unwrap_or(if place.stands_on_a_hob { Start::Hob } else { Start::Oven }),
                })
            }
            HeatSource::Coals => self.over_coals(place, fill),
        }
    }

    fn over_coals(&self, place: &Place, fill: &mut Fill) -> Result<Medium> {
        let count = coals::briquettes_for(place.across_m, place.pot.height_m, 165.0);
        let over = (count * coals::OVER_AT_A_SIMMER).round() as u32;
        let under = count.round() as u32 - over;
        let why = say::by_the_pots_width;
        let under = fill.or("heat.under", self.under, under, why, errors::count);
        let over = fill.or("heat.over", self.over, over, why, errors::count);
        in_range("heat.under", f64::from(under), 0.0, 80.0, Unit::Coals)?;
        in_range("heat.over", f64::from(over), 0.0, 80.0, Unit::Coals)?;
        if under + over == 0 {
            return Err(Error::new(Kind::OutOfRange, "heat.under", 0, errors::some_coals()));
        }
        let usual = coals::FRESH_EVERY_MIN;
        let word = |min| Message::quantity(Span(min));
        let fresh = fill.or("heat.fresh_every_min", self.fresh_every_min, usual, say::lit_early, word);
        let fire = coals::Coals {
            under,
            over,
            diameter_m: place.across_m,
            height_m: place.pot.height_m,
            fresh_every_s: in_range("heat.fresh_every_min", fresh, 10.0, 4320.0, Unit::Minutes)? * MINUTE_S,
            wind_takes: 0.0,
            air_c: in_range("heat.air_c", self.air_c.unwrap_or(15.0), -40.0, 45.0, Unit::Celsius)?,
        };
        Ok(Medium::Coals(Coals::new(fire, self.wind.unwrap_or_default())))
    }

    fn under_pressure(&self, place: &Place, fill: &mut Fill) -> Result<Medium> {
        if let (Some(_), Some(gauge)) = (self.level, self.gauge_kpa) {
            return Err(Error::new(Kind::Clash, "heat.gauge_kpa", gauge, errors::level_or_gauge()));
        }
        let gauge_kpa = match (self.gauge_kpa, self.level) {
            (Some(gauge), _) => in_range("heat.gauge_kpa", gauge, 10.0, 150.0, Unit::Kilopascals)?,
            (None, level) => {
                let word = |setting: Settings| say::setting(setting.key());
                match fill.or("heat.level", level, Settings::High, say::usual_pressure, word) {
                    Settings::High => 70.0,
                    Settings::Low => 35.0,
                }
            }
        };
        let hold_s = match self.at_pressure_min {
            Some(minutes) => Some(in_range("heat.at_pressure_min", minutes, 0.0, 600.0, Unit::Minutes)? * MINUTE_S),
            None => None,
        };
        let word = |release: Release| say::release(release.key());
        let release = fill.or("heat.release", self.release, Release::Natural, say::gentler_release, word);
        Ok(Medium::Pressure {
            gauge_kpa,
            target_c: saturation_temperature(place.pressure_pa + gauge_kpa * 1000.0),
            hold_s,
            quick: release == Release::Quick,
            power_w: in_range("heat.power_w", self.power_w.unwrap_or(POWER_W), 200.0, 6000.0, Unit::Watts)?,
        })
    }

    fn in_the_pit(&self, place: &Place, fill: &mut Fill) -> Result<Medium> {
        let set_c = fill.or("heat.pit_c", self.pit_c, USUAL_PIT_C, say::usual_pit, dial);
        in_range("heat.pit_c", set_c, 65.0, 200.0, Unit::Celsius)?;
        let every = |name: &str, given: Option<f64>, least: f64| match given {
            Some(minutes) => Ok(Some(in_range(name, minutes, least, 4320.0, Unit::Minutes)? * MINUTE_S)),
            None => Ok::<_, Error>(None),
        };
        let mop = match &self.mop {
            Some(Mopping { every_min, from_min }) => {
                let every_s = in_range("heat.mop.every_min", *every_min, 5.0, 4320.0, Unit::Minutes)? * MINUTE_S;
                let from_min = from_min.unwrap_or(*every_min);
                Some(Mop {
                    from_s: in_range("heat.mop.from_min", from_min, 0.0, 4320.0, Unit::Minutes)? * MINUTE_S,
                    every_s,
                })
            }
            None => None,
        };
        let wrap = match &self.wrap {
            Some(wrap) => {
                let at = fill.or("heat.wrap.at_core_c", wrap.at_core_c, USUAL_WRAP_C, say::when_bark_is_set, celsius);
                Some((wrap.material, in_range("heat.wrap.at_core_c", at, 0.0, 100.0, Unit::Celsius)?))
            }
            None => None,
        };
        Ok(Medium::Pit {
            pit: Pit {
                set_c,
                start_c: in_range("heat.pit_start_c", self.pit_start_c.unwrap_or(set_c), -40.0, 200.0, Unit::Celsius)?,
                mop,
                open_every_s: every("heat.open_every_min", self.open_every_min, 10.0)?,
                tend_every_s: every("heat.tend_every_min", self.tend_every_min, 10.0)?,
                psychrometric: psychrometric(place.pressure_pa),
            },
            wrap,
        })
    }
}
