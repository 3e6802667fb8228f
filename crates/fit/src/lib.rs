//! The model's parameters from what cooks call done (`./dev fit`).

pub mod chosen;
pub mod linear;
pub mod page;
pub mod practice;
pub mod report;
pub mod solve;
