//! Every parameter of the model is an argument of the runs: turned to an end of its range it moves some cook, and nothing but that set does.

use std::sync::Arc;

use ergastic_core::forecast::{Forecast, ForecastRequest, forecast};
use ergastic_physics::How;
use ergastic_physics::model::Model;
use ergastic_physics::parameters::{About, Parameters};
use serde_json::{Value, json};

/// Cooks that between them go through everything there is: each pot, lid, fire, wrap, cut and word.
fn cooks() -> Vec<ForecastRequest> {
    let mut all = vec![
        json!({"cut": "chuck", "method": "confit", "heat": {"fat_c": 90}, "start_c": -18}),
        json!({"cut": "short_rib", "method": "water_bath", "heat": {"bath_c": 80}, "age": "mature", "grass_fed": true}),
        json!({"cut": "shin", "method": "slow_cooker", "heat": {"setting": "low"}, "eaten_as": "pull"}),
        json!({"cut": "cheek", "method": "slow_cooker", "heat": {"setting": "high"}, "eaten_as": "spoon"}),
        json!({"cut": "round", "method": "pressure", "heat": {"at_pressure_min": 45, "release": "quick"}, "liquid_l": 0.6}),
        json!({"cut": "oxtail", "method": "pressure", "heat": {"at_pressure_min": 45, "release": "natural"}, "liquid_l": 0.22}),
        json!({"cut": "brisket", "method": "smoke", "heat": {"pit_c": 110, "pit_start_c": 40, "tend_every_min": 60, "open_every_min": 60}}),
        json!({"cut": "brisket", "method": "smoke", "heat": {"pit_c": 120, "wrap": {"in": "paper", "at_core_c": 60}, "mop": {"every_min": 45, "from_min": 60}}}),
        json!({"cut": "plate_rib", "method": "smoke", "heat": {"pit_c": 120, "wrap": {"in": "foil", "at_core_c": 60}}}),
        json!({"cut": "silverside", "method": "steam_oven", "heat": {"steam_c": 95, "steam": "half"}}),
        json!({"cut": "tendon", "method": "steam_oven", "heat": {"steam_c": 100}, "altitude_m": 2500}),
        json!({"cut": "skirt", "method": "steam_oven", "heat": {"steam_c": 90}, "vessel": {"lid": "tight"}}),
        json!({"cut": "neck", "method": "braise", "heat": {"source": "coals", "under": 14, "over": 8, "air_c": 2, "fresh_every_min": 90},
               "vessel": {"diameter_cm": 30, "height_cm": 14, "material": "iron", "lid": "tight"}}),
        json!({"cut": "rib_finger", "method": "braise", "heat": {"source": "oven", "set_c": 150, "start": "cold_oven"}}),
        json!({"cut": "chuck", "liquid_l": 0.3, "method": "braise", "heat": {"source": "oven", "set_c": 180, "fan": true, "start": "oven"}, "vessel": {"lid": "none"}}),
        json!({"cut": "corned_brisket", "stages": [
            {"method": "braise", "until": {"tender": true}}, {"method": "chill", "until": {"min": 600}},
            {"method": "reheat", "until": {"core_c": 74}}]}),
        json!({"cut": "shin", "stages": [{"method": "braise", "until": {"min": 60}}, {"method": "keep_warm", "heat": {"at_c": 80}}]}),
        json!({"cut": "shin", "stages": [{"method": "smoke", "heat": {"pit_c": 120}, "until": {"min": 120}}, {"method": "chill", "until": {"min": 120}},
            {"method": "braise", "until": {"tender": true}}]}),
        json!({"cut": "chuck", "stages": [{"method": "water_bath", "until": {"min": 240}}, {"method": "chill", "until": {"min": 300}},
            {"method": "braise", "until": {"tender": true}}]}),
    ];
    for (material, lid) in
        [("iron", "tight"), ("steel", "foil"), ("aluminium", "loose"), ("ceramic", "ajar"), ("glass", "none")]
    {
        let vessel = json!({"diameter_cm": 26, "height_cm": 13, "material": material, "lid": lid});
        all.push(json!({"cut": "brisket_flat", "method": "braise", "heat": {"source": "oven", "set_c": 140, "start": "oven"}, "vessel": vessel}));
    }
    for (simmer, lid) in [("lazy", "foil"), ("gentle", "loose"), ("brisk", "ajar"), ("boil", "none")] {
        all.push(json!({"cut": "chuck", "pieces": 12, "size_mm": [40, 45, 60], "eaten_as": "fork", "salt_g": 15, "method": "stew",
            "heat": {"source": "hob", "simmer": simmer}, "vessel": {"diameter_cm": 26, "height_cm": 13, "material": "iron", "lid": lid}}));
    }
    for cut in ["blade", "brisket_point", "sirloin", "stewing_mix", "shin_bone_in"] {
        all.push(json!({"cut": cut, "method": "braise", "eaten_as": "probe"}));
    }
    let known = |mut cook: Value| {
        cook["mass_kg"] = json!(1.4);
        cook["members"] = json!(16);
        cook["for_body"] = json!([{"what": "foot", "mass_kg": 0.2}]);
        serde_json::from_value(cook).unwrap()
    };
    all.into_iter().map(known).collect()
}

fn by(model: &Arc<Model>, cook: &ForecastRequest) -> Option<Forecast> {
    forecast(&ForecastRequest { how: How { model: model.clone(), ..How::default() }, ..cook.clone() }).ok()
}

/// What is told of a cook before the answer is rounded is enough to see that something moved.
fn told(answer: &Option<Forecast>) -> String {
    serde_json::to_string(&answer.as_ref()).unwrap()
}

/// What no forecast of these goes by: it is asked for beside them.
const BESIDE: [&str; 14] = [
    // Of cuts that are refused.
    "toughness.tender_cut",
    // Of the water that vegetables give, which is put in at the bench.
    "pot.larder_s",
    // The core counts meat's volume and pieces by the usual ones.
    "pot.floor_cover",
    "pot.tightest",
    // What is believed of a kitchen beforehand is a field of its own.
    "pressure.power_w",
    // Of what is found while it cooks.
    "spread.placement",
    "spread.far_animals",
    // Of what comes after the cook.
    "after.room_air",
    "after.fridge_air",
    "after.blast_air",
    "after.ice_water",
    "after.stew_conductivity",
    "after.oven_air",
    // A rolling boil is at the boil.
    "simmer.boil.below_boil_k",
];

#[test]
fn every_parameter_moves_some_cook() {
    let cooks = cooks();
    let usual: Vec<String> = cooks.iter().map(|cook| told(&by(&Model::usual(), cook))).collect();
    assert!(usual.iter().all(|answer| answer != "null"), "each can be cooked");
    let idle = |about: &About<Parameters>| {
        about.range.iter().all(|end| {
            let mut parameters = Parameters::USUAL;
            about.set(&mut parameters, *end);
            let model = Arc::new(Model::of(parameters));
            cooks.iter().zip(&usual).all(|(cook, usual)| told(&by(&model, cook)) == *usual)
        })
    };
    let spreads = |about: &About<Parameters>| {
        ["oven_k", "pot_k", "pit_k", "lid_ln"].iter().any(|name| about.name == format!("spread.{name}"))
    };
    let all = Parameters::about();
    let idle: Vec<&str> = all
        .iter()
        .filter(|about| !BESIDE.contains(&about.name.as_str()) && !spreads(about) && about.name != "toughness.chuck")
        .filter(|about| idle(about))
        .map(|about| about.name.as_str())
        .collect();
    assert!(idle.is_empty(), "{idle:?} move nothing");
}

#[test]
fn a_kitchens_own_parameters_reach_its_forecasts_and_no_others() {
    let cook = &cooks()[0];
    let mut parameters = Parameters::USUAL;
    parameters.meat.conductivity = 0.43;
    let poorer = Arc::new(Model::of(parameters));
    let (usual, slow) = (by(&Model::usual(), cook).unwrap(), by(&poorer, cook).unwrap());
    assert!(slow.ready_min.p50 > usual.ready_min.p50);
    assert_eq!(told(&by(&Model::usual(), cook)), told(&Some(usual)));
}
