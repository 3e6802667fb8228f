//! A meal: several dishes worked back from one bell, on the hands and things there are.

mod answer;
mod clocks;
mod lateness;
mod marinate;
mod request;
mod sharing;
mod sheet;
mod solve;
mod table;
mod under_way;
mod ways_out;
mod wrapping;

pub use answer::{
    ClockChange, DishHours, GaveWay, MealConflict, MealSheet, MealTask, PlacingProblem, WayChange, WayOut,
};
pub use marinate::AskedBench;
pub use request::{AskedDish, Counts, MAX_DISHES, Pin, Regret, SheetRequest};
pub use sheet::{Dishes, meal_of_dishes, meal_of_plans, meal_sheet, meal_sheet_anywhere, meal_tried};
pub use under_way::{CookedTask, UnderWay};
