//! What every address of the API may answer when it refuses, written into its document in one place.

use ergastic_core::cook::Event;
use ergastic_core::kitchen::Kitchen;
use ergastic_core::plan::Plan;
use jiff::Timestamp;
use utoipa::ToSchema;
use utoipa::openapi::path::Operation;
use utoipa::openapi::{ContentBuilder, OpenApi, Ref, RefOr, ResponseBuilder};
use uuid::Uuid;

/// What may be answered by any address, and why.
const ALWAYS: [(u16, &str); 5] = [
    (401, "From beyond the kitchen's own machine: by a screen that has not signed in, or a key that is not known."),
    (
        403,
        "Asked by another site's page, by a name that the kitchen does not answer to, or by a screen or key that may not.",
    ),
    (500, "A fault of the server's own."),
    (503, "Not now: too much at once, or nothing can be read or kept; the detail says which. Try again later."),
    (507, "Nothing can be kept: the disk is full."),
];
/// What may be answered where something is sent along.
const WITH_BODY: [(u16, &str); 4] = [
    (400, "What was sent broke off."),
    (408, "The rest of what was sent did not come."),
    (413, "More was sent than is taken."),
    (422, "A field can't be used: the problem names it, what was given and what is allowed."),
];
/// What may be answered where the address names something.
const WITH_NAME: [(u16, &str); 2] =
    [(404, "There is no such thing."), (422, "What the address names, or what is kept of it, can't be used.")];

/// Adds the refusals to every operation.
pub fn say_what_is_refused(document: &mut OpenApi) {
    for item in document.paths.paths.values_mut() {
        let operations =
            [&mut item.get, &mut item.put, &mut item.post, &mut item.delete].into_iter().filter_map(Option::as_mut);
        for operation in operations {
            refuse(operation, &ALWAYS);
            if operation.request_body.is_some() {
                refuse(operation, &WITH_BODY);
            }
            if operation.parameters.as_ref().is_some_and(|parameters| !parameters.is_empty()) {
                refuse(operation, &WITH_NAME);
            }
        }
    }
}

fn refuse(operation: &mut Operation, refusals: &[(u16, &str)]) {
    for (status, why) in refusals {
        operation.responses.responses.entry(status.to_string()).or_insert_with(|| {
            let problem = ContentBuilder::new().schema(Some(Ref::from_schema_name("ProblemDetails"))).build();
            RefOr::T(ResponseBuilder::new().description(*why).content("application/problem+json", problem).build())
        });
    }
}

/// A kitchen file, as the document describes it: it is read and written in pieces, and never held as a whole.
#[derive(ToSchema)]
#[schema(as = KitchenFile)]
#[allow(dead_code, reason = "it only describes")]
pub struct KitchenFile {
    /// Layout of this file.
    #[schema(minimum = 1, maximum = 1)]
    ergastic: u32,
    /// Why its kitchen could not be read; that one is then carried as it was.
    #[schema(required = false)]
    kitchen_damaged: Option<String>,
    /// The kitchen; without it, the one that is there stays.
    #[schema(required = false)]
    kitchen: Option<Kitchen>,
    /// Plans with their versions.
    #[schema(required = false)]
    plans: Vec<PlanInFile>,
    /// Cooks with what happened.
    #[schema(required = false)]
    cooks: Vec<CookInFile>,
    /// Probes with their readings.
    #[schema(required = false)]
    probes: Vec<ProbeInFile>,
}

/// A version of a plan in a kitchen file.
#[derive(ToSchema)]
#[allow(dead_code, reason = "it only describes")]
struct PlanInFile {
    id: Uuid,
    /// Counts up from 1; without it, it comes after those that are there.
    #[schema(minimum = 1, maximum = 1_000_000)]
    version: Option<i64>,
    saved_at: Timestamp,
    plan: Plan,
    /// In the bin since.
    deleted_at: Option<Timestamp>,
    /// Why its document could not be read; it is then text.
    damaged: Option<String>,
}

/// A cook in a kitchen file.
#[derive(ToSchema)]
#[allow(dead_code, reason = "it only describes")]
struct CookInFile {
    id: Uuid,
    plan_id: Uuid,
    opened_at: Timestamp,
    /// The plan as it was then.
    plan: Plan,
    /// What happened.
    #[schema(max_items = 5000)]
    events: Vec<Event>,
    /// In the bin since.
    deleted_at: Option<Timestamp>,
    /// Why its documents could not be read; they are then text.
    damaged: Option<String>,
}

/// A probe in a kitchen file.
#[derive(ToSchema)]
#[allow(dead_code, reason = "it only describes")]
struct ProbeInFile {
    #[schema(min_length = 1, max_length = 80)]
    probe: String,
    /// `[id, at, celsius]` each.
    readings: Vec<(Uuid, Timestamp, Celsius)>,
}

/// °C.
#[derive(ToSchema)]
#[schema(minimum = -40, maximum = 400)]
#[allow(dead_code, reason = "it only describes")]
struct Celsius(f64);
