//! A dish as a recipe in an open format: schema.org's `Recipe` as JSON-LD, with the plan itself in it.

use ergastic_core::matching::OWN;
use ergastic_core::meal::{MealSheet, MealTask};
use ergastic_core::plan::Plan;
use ergastic_core::prepare::ShoppingItem;
use ergastic_core::sheet::TaskKind;
use ergastic_words::{Mass, Message, Voice, Volume, meal as say};
use serde_json::{Value, json};

/// Minutes as ISO 8601 has them.
fn duration(seconds: i64) -> String {
    let minutes = seconds.max(0) / 60;
    format!("PT{}H{}M", minutes / 60, minutes % 60)
}

fn ingredient(item: &ShoppingItem, voice: Voice) -> String {
    let what = || Message::text(item.name.clone());
    match (item.g, item.ml, item.count) {
        (Some(g), ..) => voice.render(say::ingredient(Mass(g / 1000.0), what())),
        (_, Some(ml), _) => voice.render(say::ingredient_poured(Volume(ml / 1000.0), what())),
        (_, _, Some(count)) => voice.render(say::ingredient_counted(count, what())),
        _ => item.name.clone(),
    }
}

/// A dish of a meal's sheet, by its number from 1, with what has to be bought for it.
pub fn recipe(plan: &Plan, sheet: &MealSheet, number: u32, shopping: &[ShoppingItem], voice: Voice) -> Value {
    let own: Vec<&MealTask> = sheet.tasks.iter().filter(|task| task.number == number).collect();
    let seconds = |task: &MealTask| task.end.as_second() - task.start.as_second();
    let sum = |wanted: &dyn Fn(&MealTask) -> bool| -> i64 {
        own.iter().filter(|task| wanted(task)).map(|task| seconds(task)).sum()
    };
    let begins = own.iter().map(|task| task.start.as_second()).min().unwrap_or_default();
    let ends = own.iter().map(|task| task.end.as_second()).max().unwrap_or_default();
    let steps: Vec<Value> = own
        .iter()
        .map(|task| {
            json!({"@type": "HowToStep", "name": task.what, "text": format!("{}. {}", task.what.trim_end_matches('.'), task.why)})
        })
        .collect();
    json!({
        "@context": ["https://schema.org", {"ergastic": "urn:ergastic:"}],
        "@type": "Recipe",
        "name": plan.name,
        "recipeYield": plan.people.to_string(),
        "prepTime": duration(sum(&|task| task.hands_on)),
        "cookTime": duration(sum(&|task| task.kind == TaskKind::Braise)),
        "totalTime": duration(ends - begins),
        "recipeIngredient": shopping.iter().map(|item| ingredient(item, voice)).collect::<Vec<_>>(),
        "recipeInstructions": steps,
        OWN: plan,
    })
}
