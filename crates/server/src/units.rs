//! Refusals in the kitchen's own units.

use axum::extract::State;
use axum::response::Response;
use ergastic_words::Units;

use crate::app::App;
use crate::error::Failing;

/// The same answer in the kitchen's own units, where it is one of a field that can't be used.
pub async fn in_the_kitchens_units(State(app): State<App>, response: Response) -> Response {
    let Some(Failing(error)) = response.extensions().get::<Failing>().cloned() else { return response };
    match app.store.kitchen().await {
        Ok(kitchen) if kitchen.units != Units::default() => error.answer(kitchen.voice()),
        _ => response,
    }
}
