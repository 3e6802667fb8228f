//! Cooks and meals that speed is measured on.

use ergastic_core::bench::Level;
use ergastic_core::cuts::Cut;
use ergastic_core::forecast::{Evidence, ForecastRequest, Heat, Wrap};
use ergastic_core::heat::pit::WrapMaterial;
use ergastic_core::meal::SheetRequest;
use ergastic_core::prepare::PrepareRequest;
use ergastic_core::tender::Check;
use ergastic_core::ways::Method;
use serde_json::json;

/// A braise.
pub fn chuck(members: u32) -> ForecastRequest {
    ForecastRequest {
        cut: Some(Cut::Chuck),
        mass_kg: Some(1.4),
        method: Some(Method::Braise),
        members: Some(members),
        ..Default::default()
    }
}

/// Twelve hours in the pit, wrapped on the way.
pub fn brisket(members: u32) -> ForecastRequest {
    ForecastRequest {
        cut: Some(Cut::Brisket),
        mass_kg: Some(5.5),
        size_mm: Some([105.0, 250.0, 400.0]),
        method: Some(Method::Smoke),
        heat: Some(Heat {
            pit_c: Some(110.0),
            wrap: Some(Wrap { material: WrapMaterial::Paper, at_core_c: Some(70.0) }),
            ..Heat::default()
        }),
        members: Some(members),
        ..Default::default()
    }
}

/// Twenty findings of a cook: readings, and every fourth a fork.
pub fn findings() -> Vec<Evidence> {
    (1..=20)
        .map(|i| match i % 4 {
            0 => Evidence::Check { at_s: f64::from(i) * 600.0, found: Check::Firm },
            _ => Evidence::Reading { at_s: f64::from(i) * 600.0, celsius: f64::min(90.0, f64::from(i) * 9.0) },
        })
        .collect()
}

/// One dish at the bench.
pub fn short_ribs() -> PrepareRequest {
    PrepareRequest {
        cut: Some(Cut::ShortRib),
        mass_kg: Some(2.4),
        pieces: Some(8),
        size_mm: Some([50.0, 60.0, 100.0]),
        level: Some(Level::Third),
        ..Default::default()
    }
}

/// Six dishes, each cooked another way, with a side each: some hundred and twenty tasks.
pub fn supper(members: u32) -> SheetRequest {
    let ways = [
        json!({"cut": "shin", "method": "braise", "heat": {"set_c": 150}}),
        json!({"cut": "cheek", "method": "braise", "heat": {"set_c": 140}}),
        json!({"cut": "oxtail", "method": "pressure"}),
        json!({"cut": "brisket", "method": "smoke", "heat": {"pit_c": 110}}),
        json!({"cut": "plate_rib", "method": "water_bath"}),
        json!({"cut": "chuck", "method": "stew"}),
    ];
    let dishes: Vec<_> = ways
        .into_iter()
        .map(|mut forecast| {
            forecast["members"] = json!(members);
            json!({"people": 14, "forecast": forecast, "prepare": {"strings": 2}, "sides": [{"what": "roots", "min": 25}]})
        })
        .collect();
    let request = json!({"serve_at": "2027-02-06T18:30", "now": "2027-02-03T09:00", "kitchen": {"hobs": 6, "hands": 2}, "dishes": dishes});
    serde_json::from_value(request).unwrap()
}
