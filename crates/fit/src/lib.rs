//! The constants of tenderness from what cooks call done (`./dev fit`).

pub mod constants;
pub mod practice;
pub mod report;
pub mod solve;
