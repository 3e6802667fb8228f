//! A cook whose findings disagree, or whose thermometer is where nobody thinks it is: what is believed, what is asked, and that the truth
//! stays inside the band.

use ergastic_core::cook::{Happened, ProbeIn, Sound, Status, TaskState, Trust};
use ergastic_core::cuts::EatenAs;
use ergastic_core::forecast::{CurvePoint, Forecast, ForecastRequest, forecast};
use ergastic_core::sheet::TaskKind;
use ergastic_core::tender::Check;
use serde_json::{Value, json};

use crate::cook::Cook;

/// A fork now and then.
fn fork(cook: &mut Cook, minute: f64, found: Check) {
    cook.happened(minute, Happened::Check { found, by: None });
}

fn every(minutes: usize, until: f64, reads: impl Fn(f64) -> f64) -> impl Iterator<Item = (f64, f64)> {
    let at = (0..).step_by(minutes).map(|minute: i32| f64::from(minute)).take_while(move |minute| *minute <= until);
    at.map(move |minute| (minute, reads(minute)))
}

/// One cook as it really goes.
struct Truth(Forecast);

impl Truth {
    fn of(request: &Value, changed: Value) -> Self {
        let mut request = request.clone();
        for (field, value) in changed.as_object().unwrap() {
            request[field.as_str()] = value.clone();
        }
        request["members"] = json!(1);
        let request: ForecastRequest = serde_json::from_value(request).unwrap();
        Self(forecast(&request).unwrap())
    }

    fn read(&self, minute: f64, of: impl Fn(&CurvePoint) -> f64) -> f64 {
        let after = self.0.curve.partition_point(|point| point.min <= minute).clamp(1, self.0.curve.len() - 1);
        let (a, b) = (&self.0.curve[after - 1], &self.0.curve[after]);
        of(a) + (minute - a.min) / (b.min - a.min) * (of(b) - of(a))
    }

    fn core_c(&self, minute: f64) -> f64 {
        self.read(minute, |point| point.core_c)
    }

    fn medium_c(&self, minute: f64) -> f64 {
        self.read(minute, |point| point.medium_c)
    }

    /// At a share of the way from the middle to the surface.
    fn beside_c(&self, minute: f64, share: f64) -> f64 {
        self.core_c(minute) + share * (self.read(minute, |point| point.surface_c) - self.core_c(minute))
    }

    fn ready_min(&self) -> f64 {
        self.0.ready_min.p50.unwrap()
    }
}

fn braise() -> Value {
    json!({"cut": "chuck", "mass_kg": 1.8, "method": "braise", "heat": {"source": "oven", "set_c": 150},
        "liquid_l": 1.0, "members": 400})
}

fn bath() -> Value {
    json!({"cut": "shin", "mass_kg": 1.2, "method": "water_bath", "heat": {"bath_c": 82}, "members": 400})
}

fn pit() -> Value {
    json!({"cut": "plate_rib", "mass_kg": 2.4, "method": "smoke", "heat": {"pit_c": 120}, "members": 400})
}

#[test]
fn the_air_of_an_oven_is_held_against_its_dial() {
    let says = |reads: fn(f64) -> f64| {
        let mut cook = Cook::of(&braise());
        cook.probe(ProbeIn::Air, every(1, 90.0, reads));
        let seen = cook.view(90.5);
        seen.alarms.into_iter().find(|alarm| alarm.id.starts_with("heat:")).map(|alarm| alarm.words)
    };
    assert_eq!(says(|_| 150.0), None, "as it was set");
    assert_eq!(says(|minute| 145.0 + 4.0 * (minute / 3.0).sin()), None, "a little under it");
    for cold in [(|minute| 125.0 + 4.0 * (minute / 3.0_f64).sin()) as fn(f64) -> f64, |_| 105.0] {
        let words = says(cold).expect("a fire so far down rings");
        assert!(words.contains("under what was set"), "{words}");
    }
    let words = says(|_| 185.0).expect("so does one that runs away");
    assert!(words.contains("over what was set"), "{words}");
}

#[test]
fn a_thermometer_does_not_drown_the_forks() {
    let truth = Truth::of(&pit(), json!({}));
    let forks = |probed: bool| {
        let mut cook = Cook::of(&pit());
        if probed {
            cook.probe(ProbeIn::Meat, every(10, 419.0, |minute| truth.core_c(minute)));
        }
        let half = truth.ready_min();
        for share in [0.9, 1.0, 1.1, 1.18] {
            fork(&mut cook, half * share, Check::Firm);
        }
        (cook.band(half * 1.22), half * 1.18)
    };
    for probed in [false, true] {
        let ([p10, p50, p90], last_fork) = forks(probed);
        assert!(p10 >= last_fork - 1.0, "tender from {p10} where it was firm at {last_fork}, probed: {probed}");
        assert!(p90 > last_fork + 30.0 && p50 > p10, "{p10} {p50} {p90}");
    }
}

#[test]
fn a_tough_animal_is_inside_the_band_of_probe_and_forks() {
    let (mut inside, mut looks) = (0, 0);
    for (request, sigma) in [(braise(), 2.0), (pit(), 2.0), (pit(), 1.0), (braise(), 1.0), (bath(), 2.0)] {
        let animal = 0.18 * sigma;
        let known = json!({"known": {"toughness_ln": {"mean": animal, "sigma": 0.01}}});
        let truth = Truth::of(&request, known);
        // Softening on the scale of slice to spoon: at its ready it is what is enough for how it is eaten.
        let softened = |minute: f64| truth.read(minute, |point| point.softening_h);
        let enough = if request["cut"] == "plate_rib" { EatenAs::Probe } else { EatenAs::Fork };
        let scale = |minute: f64| enough.enough() * softened(minute) / softened(truth.ready_min());
        let mut cook = Cook::of(&request);
        cook.probe(ProbeIn::Meat, every(10, 1.5 * truth.ready_min(), |minute| truth.core_c(minute)));
        let half = truth.ready_min();
        for share in [0.6, 0.75, 0.9, 0.97] {
            let enough = scale(share * half);
            let found = Check::ALL.into_iter().rev().find(|check| check.bounds().0 <= enough).unwrap();
            fork(&mut cook, share * half, found);
            let [p10, _, p90] = cook.band(share * half + 1.0);
            // One look so early tells nothing of an animal like that.
            if share < 0.7 {
                continue;
            }
            looks += 1;
            inside += usize::from((p10..=p90).contains(&half));
        }
    }
    assert!(inside * 5 >= looks * 4, "{inside} of {looks} bands held the truth");
}

#[test]
fn a_tip_that_never_was_in_the_middle_is_never_believed() {
    let truth = Truth::of(&braise(), json!({}));
    let plain = Cook::of(&braise()).band(200.0);
    type Reads<'a> = Box<dyn Fn(f64) -> f64 + 'a>;
    let places: [(Trust, Reads); 3] = [
        (Trust::WrongPlace, Box::new(|minute| truth.medium_c(minute))),
        (Trust::Outside, Box::new(|minute| truth.beside_c(minute, 0.75))),
        // It slips outwards for an hour and stays there.
        (Trust::Outside, Box::new(|minute| truth.beside_c(minute, (minute / 60.0).min(0.9)))),
    ];
    for (number, (trust, reads)) in places.into_iter().enumerate() {
        let mut cook = Cook::of(&braise());
        cook.probe(ProbeIn::Meat, every(1, 200.0, reads));
        for minute in [70.0, 130.0, 200.0] {
            let seen = cook.until(minute).view(minute);
            let is = seen.probes[0].trust;
            assert!(is == trust || is == Trust::WrongPlace, "place {number} at {minute}: {}", seen.probes[0].words);
            assert!(seen.alarms.iter().any(|alarm| alarm.sound == Sound::Trouble), "somebody is asked to see");
        }
        let [p10, p50, p90] = cook.band(200.0);
        assert!((p50 - plain[1]).abs() < 0.08 * plain[1] && p90 > p10, "{p50} against {}", plain[1]);
    }
}

#[test]
fn a_fire_far_under_its_dial_is_found_as_the_heat_and_not_as_the_tip() {
    let cold = Truth::of(&pit(), json!({"heat": {"pit_c": 95}}));
    let mut cook = Cook::of(&pit());
    cook.probe(ProbeIn::Meat, every(2, 240.0, |minute| cold.core_c(minute)));
    let seen = cook.view(240.0);
    assert_eq!(seen.probes[0].trust, Trust::Steady, "{}", seen.probes[0].words);
    let planned = Cook::of(&pit()).band(240.0);
    assert!(cook.band(240.0)[1] > planned[1] + 45.0, "{:?} against {planned:?}", cook.band(240.0));
}

#[test]
fn a_hotter_oven_makes_no_boiling_pot_slower() {
    let half = |reads: f64| {
        let mut cook = Cook::of(&braise());
        cook.probe(ProbeIn::Air, every(5, 120.0, move |_| reads));
        cook.band(121.0)[1]
    };
    let (as_set, hotter) = (half(150.0), half(165.0));
    assert!(hotter <= as_set + 2.0, "{hotter} against {as_set}");
}

#[test]
fn what_is_found_tender_is_waited_for_no_longer() {
    for (eaten_as, found) in [
        ("slice", Check::Slice),
        ("fork", Check::Fork),
        ("probe", Check::Probe),
        ("pull", Check::Pull),
        ("spoon", Check::Spoon),
    ] {
        let mut request = braise();
        request["eaten_as"] = json!(eaten_as);
        let mut cook = Cook::of(&request);
        fork(&mut cook, 150.0, Check::Firm);
        assert_eq!(cook.view(151.0).status, Status::UnderWay, "{eaten_as}");
        fork(&mut cook, 160.0, found);
        let seen = cook.view(161.0);
        assert_eq!((seen.status, seen.tender_at), (Status::Tender, Some(cook.at(160.0))), "{eaten_as}");
        let waits = |kind| matches!(kind, TaskKind::Check | TaskKind::TopUp | TaskKind::Tend | TaskKind::Mop);
        assert!(
            seen.tasks.iter().all(|task| !waits(task.task.kind) || task.state != TaskState::Open),
            "nobody looks again at what is done: {eaten_as}"
        );
        assert!(seen.alarms.iter().all(|alarm| alarm.sound != Sound::Look), "{eaten_as}");
    }
}
