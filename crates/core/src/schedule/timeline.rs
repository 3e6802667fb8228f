//! What is taken already.

use super::problem::{Kind, Minute, Span};

/// One use of a thing.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub(super) struct Use {
    pub span: Span,
    pub setting: i32,
    /// The job it belongs to.
    pub job: usize,
}

/// How many of a kind so many uses at their settings need.
pub(super) fn needed(kind: Kind, settings: &mut [i32]) -> usize {
    settings.sort_unstable();
    settings.chunk_by(|a, b| a == b).map(|alike| alike.len().div_ceil(kind.room.max(1))).sum()
}

/// Every use of each kind.
#[derive(Debug, Clone, Default)]
pub(super) struct Timeline {
    uses: Vec<Vec<Use>>,
    settings: Vec<i32>,
}

impl Timeline {
    pub fn clear(&mut self, kinds: usize) {
        self.uses.resize_with(kinds, Vec::new);
        self.uses.iter_mut().for_each(Vec::clear);
    }

    pub fn add(&mut self, kind: usize, used: Use) {
        if used.span.from < used.span.to {
            self.uses[kind].push(used);
        }
    }

    /// Whether one more use fits; else the latest minute at which it would have to be over for something to change.
    pub fn blocked(&mut self, kinds: &[Kind], kind: usize, span: Span, setting: i32) -> Option<Minute> {
        if span.from >= span.to {
            return None;
        }
        let uses = &self.uses[kind];
        let overlaps = |used: &&Use| used.span.from < span.to && span.from < used.span.to;
        let simple = kinds[kind].count == 1 && kinds[kind].room == 1;
        if simple {
            return uses.iter().filter(overlaps).map(|used| used.span.from).max();
        }
        // It can only be too much where it begins, or where another begins within it.
        let begins = uses.iter().filter(overlaps).map(|used| used.span.from.max(span.from));
        for at in std::iter::once(span.from).chain(begins) {
            let there = |used: &&Use| used.span.from <= at && at < used.span.to;
            self.settings.clear();
            self.settings.extend(uses.iter().filter(there).map(|used| used.setting));
            self.settings.push(setting);
            if needed(kinds[kind], &mut self.settings) > kinds[kind].count {
                return Some(uses.iter().filter(there).map(|used| used.span.from).max().unwrap_or(Minute::MIN));
            }
        }
        None
    }
}
