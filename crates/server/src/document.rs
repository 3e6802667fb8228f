//! What every address of the API may answer when it refuses, written into its document in one place.

use utoipa::openapi::path::Operation;
use utoipa::openapi::{ContentBuilder, OpenApi, Ref, RefOr, ResponseBuilder};

/// What may be answered by any address, and why.
const ALWAYS: [(u16, &str); 4] = [
    (403, "Asked by another site's page, or by another name than this machine's."),
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
            let problem = ContentBuilder::new().schema(Some(Ref::from_schema_name("Problem"))).build();
            RefOr::T(ResponseBuilder::new().description(*why).content("application/problem+json", problem).build())
        });
    }
}
