//! What was left out of a request and filled in.

use ergastic_words::Message;

/// Something that was left out of the request and filled in.
#[derive(Debug, Clone, PartialEq)]
pub struct Filled {
    /// The field, with the path it stands under.
    pub field: String,
    /// Which field that is, wherever it stands.
    pub name: &'static str,
    /// What was taken.
    pub value: Message,
    /// Why that.
    pub why: Message,
}

/// Fills in defaults and remembers each one, with where it stands in the request.
#[derive(Default)]
pub(crate) struct Fill {
    pub filled: Vec<Filled>,
    /// The path that the fields of a part or stage stand under.
    pub path: String,
}

impl Fill {
    pub fn or<T: Copy>(
        &mut self,
        name: &'static str,
        given: Option<T>,
        default: T,
        why: fn() -> Message,
        show: impl Fn(T) -> Message,
    ) -> T {
        given.unwrap_or_else(|| {
            self.with(name, show(default), why());
            default
        })
    }

    pub fn with(&mut self, name: &'static str, value: Message, why: Message) {
        self.filled.push(Filled { field: format!("{}{name}", self.path), name, value, why });
    }
}
