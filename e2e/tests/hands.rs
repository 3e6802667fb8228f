//! What a hand does and what goes wrong under it: things dragged, taps without a connection, everything twice.

use std::time::Duration;

use anyhow::{Context, ensure};
use ergastic_e2e::{Kitchen, Viewport, offline};
use fantoccini::elements::Element;

type Outcome = anyhow::Result<()>;

async fn attr(element: &Element, name: &str) -> anyhow::Result<f64> {
    Ok(element.attr(name).await?.context("it has a value")?.parse()?)
}

#[tokio::test]
async fn the_bell_and_the_line_in_the_pot_are_dragged_and_what_is_seen_is_saved() -> Outcome {
    let kitchen = Kitchen::open(true, Viewport::Table).await?;
    kitchen.go("/match?cut=shin&kg=2.4&people=8").await?;
    kitchen.says("Plan it this way").await?;
    let serve_at = kitchen.find("//*[@role='slider'][@aria-label='The bell']").await?;
    let before = attr(&serve_at, "aria-valuenow").await?;
    kitchen.drag(&serve_at, -120, 0).await?;
    tokio::time::sleep(Duration::from_secs(1)).await;
    let serve_at = kitchen.find("//*[@role='slider'][@aria-label='The bell']").await?;
    let rung = serve_at.attr("aria-valuetext").await?.context("the bell says when")?;
    let moved = before - attr(&serve_at, "aria-valuenow").await?;
    ensure!(moved > 20.0, "the bell went {moved} min");
    // At once, before the answer for this bell can be there: the plan has the bell that is on the screen.
    kitchen.press("Plan it this way").await?;
    kitchen.says("The cook it leads to").await?;
    kitchen.says(&format!("bell {rung}")).await?;

    kitchen.find("//*[@role='tab'][starts-with(normalize-space(.), 'Pot')]").await?.click().await?;
    let line = kitchen.find("//*[@role='slider'][@aria-label='Liquid']").await?;
    let before = attr(&line, "aria-valuenow").await?;
    kitchen.drag(&line, 0, -30).await?;
    kitchen.find("//*[@data-keep='saved'][@data-version='2']").await?;
    let line = kitchen.find("//*[@role='slider'][@aria-label='Liquid']").await?;
    let after = attr(&line, "aria-valuenow").await?;
    ensure!(after > before + 0.1, "from {before} L to {after} L");
    kitchen.browser.refresh().await?;
    let line = kitchen.find("//*[@role='slider'][@aria-label='Liquid']").await?;
    ensure!((attr(&line, "aria-valuenow").await? - after).abs() < 0.011, "what was seen is what was saved");
    kitchen.assert_no_errors().await?;
    kitchen.close().await
}

#[tokio::test]
async fn taps_wait_through_a_lost_connection_and_come_once_with_their_own_time() -> Outcome {
    let kitchen = Kitchen::open(true, Viewport::Phone).await?;
    kitchen.go("/cook").await?;
    kitchen.press("Ice-road chuck").await?;
    kitchen.says("The median piece").await?;
    let lines =
        "return [...document.querySelectorAll('main ol li')].filter(li => li.innerText.includes('Forked')).length";
    let before = kitchen.browser.execute(lines, vec![]).await?.as_i64().unwrap_or_default();
    offline(&kitchen.browser, true).await?;
    kitchen.press("slice").await?;
    kitchen.says("On its way to the kitchen").await?;
    offline(&kitchen.browser, false).await?;
    for _ in 0..100 {
        if kitchen.browser.execute(lines, vec![]).await?.as_i64() == Some(before + 1) {
            break;
        }
        tokio::time::sleep(Duration::from_millis(100)).await;
    }
    let after = kitchen.browser.execute(lines, vec![]).await?.as_i64();
    ensure!(after == Some(before + 1), "{before} before, {after:?} after; {}", kitchen.text().await?);
    // Undo acts on the last thing shown, and what it took can be put back.
    kitchen.press_named("Undo").await?;
    kitchen.find("//main//ol/li[1]//button[contains(., 'Put back')]").await?;
    kitchen.press("Put back").await?;
    kitchen.find("//main//ol/li[1]//button[contains(., 'Change')]").await?.click().await?;
    kitchen.fill("It was so long ago", "20").await?;
    kitchen.press("It was 20 min ago").await?;
    kitchen.find("//main//ol/li//*[contains(., '✓')]").await?;
    kitchen.close().await
}

#[tokio::test]
async fn a_cook_started_twice_from_one_sheet_is_one_cook() -> Outcome {
    let kitchen = Kitchen::open(true, Viewport::Table).await?;
    kitchen.go("/sheet").await?;
    kitchen.press("Lake-ice shin").await?;
    kitchen.find("//button[contains(., 'Start this cook')]").await?;
    let sheet = kitchen.browser.current_url().await?;
    let first = kitchen.browser.window().await?;
    let second = kitchen.browser.new_window(true).await?;
    kitchen.browser.switch_to_window(second.handle.clone()).await?;
    kitchen.browser.goto(sheet.as_str()).await?;
    kitchen.find("//button[contains(., 'Start this cook')]").await?;
    // A double tap here, and one on the other page.
    let twice = "for (const button of document.querySelectorAll('button')) if (button.innerText.includes('Start this cook')) { button.click(); button.click() }";
    kitchen.browser.execute(twice, vec![]).await?;
    kitchen.find("//h1[contains(., 'Lake-ice shin')]").await?;
    kitchen.says("Salt the meat").await?;
    kitchen.browser.switch_to_window(first).await?;
    kitchen.find("//button[contains(., 'Start this cook') or contains(., 'Go on cooking')]").await?.click().await?;
    kitchen.says("The clock starts when the meat meets the heat").await?;
    let here = kitchen.browser.current_url().await?;
    kitchen.browser.switch_to_window(second.handle).await?;
    kitchen.says("The clock starts when the meat meets the heat").await?;
    ensure!(kitchen.browser.current_url().await?.path() == here.path(), "two cooks of one sheet");
    kitchen.close().await
}

#[tokio::test]
async fn a_kitchen_that_is_edited_after_a_file_came_in_keeps_both() -> Outcome {
    let kitchen = Kitchen::open(true, Viewport::Table).await?;
    kitchen.go("/kitchen").await?;
    kitchen.says("Take it along").await?;
    // The file is this kitchen with its oven called otherwise; the page was read before it came in.
    let brought = "const file = await (await fetch('/api/export')).json(); file.kitchen.ovens[0].name = 'Lake oven'; \
                   return (await fetch('/api/import', {method: 'POST', body: JSON.stringify(file), \
                   headers: {'content-type': 'application/json'}})).status";
    let brought = kitchen.browser.execute(&format!("return (async () => {{ {brought} }})()"), vec![]).await?;
    ensure!(brought == 200, "{brought}");
    kitchen.fill("Above the sea", "300").await?;
    kitchen.find("//*[starts-with(@aria-label, 'Lake oven')]").await?;
    kitchen.find("//*[@data-keep='saved']").await?;
    kitchen.browser.refresh().await?;
    kitchen.find("//*[starts-with(@aria-label, 'Lake oven')]").await?.click().await?;
    // Lent out, the plans that stand in it say so.
    kitchen.press("Lent out").await?;
    kitchen.press("Good").await?;
    kitchen.find("//*[@data-keep='saved']").await?;
    let altitude = kitchen.find("//*[@id=//label[contains(., 'Above the sea')]/@for]").await?;
    ensure!(altitude.prop("value").await?.as_deref() == Some("300"), "the height above the sea was lost");
    kitchen.assert_no_errors().await?;
    kitchen.close().await
}

#[tokio::test]
async fn everything_is_reached_without_a_mouse() -> Outcome {
    let kitchen = Kitchen::open(true, Viewport::Table).await?;
    kitchen.go("/match?cut=shin&kg=2.4&people=8").await?;
    kitchen.says("Plan it this way").await?;
    let body = kitchen.find("//body").await?;
    // The keys are listed, and a single letter still works after a slider was touched.
    body.send_keys("?").await?;
    kitchen.find("//*[@role='dialog'][contains(., 'Keys')]").await?;
    kitchen.press("Close").await?;
    let serve_at = kitchen.find("//*[@role='slider'][@aria-label='The bell']").await?;
    serve_at.send_keys("\u{e014}").await?;
    serve_at.send_keys("6").await?;
    kitchen.find("//h1[contains(., 'What came of it')]").await?;
    ensure!(kitchen.browser.title().await?.contains("What came of it"), "{}", kitchen.browser.title().await?);
    // The focus has moved with the page, so that a reader begins at its heading.
    let focused = kitchen.browser.execute("return document.activeElement.tagName", vec![]).await?;
    ensure!(focused == "H1", "the focus is on {focused}");
    // Back is where it was left.
    kitchen.browser.back().await?;
    kitchen.says("Scrub through").await?;
    let scrolled = "window.scrollTo(0, 500); return window.scrollY";
    ensure!(kitchen.browser.execute(scrolled, vec![]).await? == 500, "the page is long enough");
    tokio::time::sleep(Duration::from_millis(300)).await;
    let key = "window.dispatchEvent(new KeyboardEvent('keydown', {key: '6'}))";
    kitchen.browser.execute(key, vec![]).await?;
    kitchen.find("//h1[contains(., 'What came of it')]").await?;
    kitchen.browser.back().await?;
    kitchen.says("Scrub through").await?;
    let mut at = 0;
    for _ in 0..40 {
        at = kitchen.browser.execute("return Math.round(window.scrollY)", vec![]).await?.as_i64().unwrap_or(0);
        if at == 500 {
            break;
        }
        tokio::time::sleep(Duration::from_millis(50)).await;
    }
    ensure!(at == 500, "gone back to, the page stands at {at}");
    kitchen.close().await
}
