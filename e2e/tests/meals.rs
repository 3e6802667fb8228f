//! A meal of several dishes: seen on the strip, laid out, changed, and cooked from.

use anyhow::ensure;
use ergastic_e2e::{Kitchen, Viewport};

type Outcome = anyhow::Result<()>;

const DISHES: &str = "return document.querySelectorAll('section[aria-label=\"Dishes\"] a').length";

/// Waits until the meal has so many dishes.
async fn dishes(kitchen: &Kitchen, many: usize) -> Outcome {
    kitchen.find(&format!("//section[@aria-label='Dishes'][count(.//a) = {many}]")).await?;
    let there = kitchen.browser.execute(DISHES, vec![]).await?;
    ensure!(there.as_u64() == Some(many as u64), "{there} dishes");
    Ok(())
}

#[tokio::test]
async fn a_meal_is_laid_out_gets_a_dish_more_and_is_cooked_from() -> Outcome {
    let kitchen = Kitchen::open(true, Viewport::Table).await?;
    kitchen.go("/sheet").await?;
    kitchen.says("Meals to come").await?;
    kitchen.assert_accessible().await?;
    kitchen.press("Ice-fishers").await?;
    dishes(&kitchen, 3).await?;
    // Every number of the picture stands in the list, each dish in its lane.
    kitchen.find("//*[@aria-label='The meal, lane by lane']//*[contains(., 'Fox-track')]").await?;
    kitchen.find("//ol[@aria-label='Sheet of the meal']//*[contains(., 'Put on: barley')]").await?;
    kitchen.assert_accessible().await?;
    kitchen.assert_fits().await?;

    kitchen.press("Bring in").await?;
    dishes(&kitchen, 4).await?;
    kitchen.press("Take out").await?;
    dishes(&kitchen, 3).await?;
    kitchen.press_named("Undo").await?;
    dishes(&kitchen, 4).await?;
    kitchen.fill("Call the meal", "Ridge supper").await?;
    kitchen.find("//h2[contains(., 'Because')]").await?.click().await?;
    kitchen.find("//h1[contains(., 'Ridge supper')]").await?;
    kitchen.browser.refresh().await?;
    kitchen.find("//h1[contains(., 'Ridge supper')]").await?;

    // A task is dragged by its flag: it is pinned there, and goes back with one tap. By typing it is given its length.
    kitchen.find("//button[starts-with(@aria-label, 'Move it: Brown')]").await?.click().await?;
    let flag = kitchen.find("//*[starts-with(@aria-label, 'When it starts: Brown')]").await?;
    let before = flag.attr("aria-valuetext").await?;
    kitchen.drag(&flag, -60, 0).await?;
    kitchen.find("//li[contains(., 'pinned')]").await?;
    let flag = kitchen.find("//*[starts-with(@aria-label, 'When it starts: Brown')]").await?;
    ensure!(flag.attr("aria-valuetext").await? != before, "it starts at {before:?} still");
    kitchen.fill("Takes", "31").await?;
    kitchen.press("Close").await?;
    kitchen.find("//li[contains(., 'pinned')][contains(., '31 min')]").await?;
    kitchen.press_named("Undo").await?;
    kitchen.press_named("Undo").await?;
    kitchen.find("//body[not(.//li[contains(., 'pinned')])]").await?;

    kitchen.press("Start").await?;
    kitchen.find("//h1").await?;
    kitchen.go("/sheet").await?;
    kitchen.says("being cooked").await?;
    kitchen.assert_no_errors().await?;
    kitchen.close().await
}
