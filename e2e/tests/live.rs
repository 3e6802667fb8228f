//! The live hours in a real browser, at speed: alarms that ring, a second screen, a lost connection, a kitchen that is killed in the
//! midst of it, a probe that falls out, and the whole cook to its end.

use std::time::Duration;

use anyhow::ensure;
use ergastic_e2e::{Kitchen, Viewport, offline};
use serde_json::json;

type Outcome = anyhow::Result<()>;

/// So many minutes of the kitchen pass in one of ours.
const SPEED: u32 = 40;

/// The demo's cooks and probes; the one in the chuck falls out soon after the cook comes to look at it.
fn scene() -> anyhow::Result<serde_json::Value> {
    let demo = std::fs::read_to_string(ergastic_e2e::root().join("demo/hub.json"))?;
    let mut scene: serde_json::Value = serde_json::from_str(&demo)?;
    scene["cooks"][0]["probes"][0]["faults"] = json!([{"kind": "pulled_out", "from_min": 121, "for_min": 600}]);
    Ok(scene)
}

/// Counts the tones that the page makes.
const COUNTS: &str = "window.tones = 0; const made = AudioContext.prototype.createOscillator; \
    AudioContext.prototype.createOscillator = function () { window.tones += 1; return made.call(this); }";

async fn tones(kitchen: &Kitchen) -> anyhow::Result<i64> {
    Ok(kitchen.browser.execute("return window.tones", vec![]).await?.as_i64().unwrap_or_default())
}

/// Waits for what comes by the kitchen's clock: minutes of it are seconds of ours.
async fn comes(kitchen: &Kitchen, words: &str) -> Outcome {
    let ringing = format!("//*[@role='alert'][contains(., '{words}')]");
    for _ in 0..2 {
        if kitchen.find(&ringing).await.is_ok() {
            return Ok(());
        }
    }
    kitchen.find(&ringing).await.map(drop)
}

/// Waits for more tones than there were: it rings again and again until it is answered.
async fn rings_on(kitchen: &Kitchen, before: i64) -> Outcome {
    for _ in 0..120 {
        if tones(kitchen).await? > before {
            return Ok(());
        }
        tokio::time::sleep(Duration::from_millis(150)).await;
    }
    anyhow::bail!("the alarm does not ring")
}

/// Answers what rings; what rings above it may come and go.
async fn answer(kitchen: &Kitchen, words: &str) -> Outcome {
    tap(kitchen, &format!("//*[@role='alert']//p[contains(., '{words}')]/ancestor::div[.//button][1]//button[1]")).await
}

/// Finds and taps in one go what the page may draw anew in the meantime.
async fn tap(kitchen: &Kitchen, xpath: &str) -> Outcome {
    kitchen.find(xpath).await?;
    let tap = "const found = document.evaluate(arguments[0], document, null, XPathResult.FIRST_ORDERED_NODE_TYPE); \
               found.singleNodeValue?.click(); return found.singleNodeValue !== null";
    let tapped = kitchen.browser.execute(tap, vec![json!(xpath)]).await?;
    ensure!(tapped == true, "{xpath} was gone as it was tapped");
    Ok(())
}

/// Waits until something rings no longer.
async fn silent(kitchen: &Kitchen, words: &str) -> Outcome {
    let rings =
        format!("return [...document.querySelectorAll('[role=alert] p')].some(p => p.innerText.startsWith('{words}'))");
    for _ in 0..100 {
        if kitchen.browser.execute(&rings, vec![]).await? == false {
            return Ok(());
        }
        tokio::time::sleep(Duration::from_millis(150)).await;
    }
    anyhow::bail!("{words} still rings")
}

/// Waits until something no longer stands on a page.
async fn gone(kitchen: &Kitchen, words: &str) -> Outcome {
    for _ in 0..100 {
        if !kitchen.text().await?.contains(words) {
            return Ok(());
        }
        tokio::time::sleep(Duration::from_millis(150)).await;
    }
    anyhow::bail!("{words} still stands on the page:\n{}", kitchen.text().await?)
}

#[tokio::test]
async fn a_whole_cook_at_speed_with_all_that_can_happen_to_it() -> Outcome {
    let mut kitchen = Kitchen::at_speed(true, Viewport::Table, SPEED).await?;
    kitchen.hub(&scene()?)?;
    let second = kitchen.another_screen(Viewport::Phone).await?;
    // The page says that it may not ring before it was tapped; one tap, and it rings when it is tried.
    kitchen.go("/cook").await?;
    kitchen.says("This page is silent").await?;
    kitchen.browser.execute(COUNTS, vec![]).await?;
    kitchen.press("Ice-road chuck").await?;
    kitchen.says("Leave it: lid on loosely").await?;
    kitchen.says("This page rings when something is due").await?;
    kitchen.press("Hear: Something to do").await?;
    ensure!(tones(&kitchen).await? > 0, "the test makes no sound");
    second.go("/cook").await?;
    second.says("Ice-road chuck").await?;

    // The probe falls out: it is said, it rings, and no band is moved by the kitchen's air.
    comes(&kitchen, "has fallen out").await?;
    comes(&second, "has fallen out").await?;
    kitchen.press("Probes").await?;
    kitchen.says("its tip is out").await?;
    answer(&kitchen, "has fallen out").await?;
    gone(&second, "has fallen out").await?;
    kitchen.press("Not here").await?;

    // The first look rings, again and again, until it is answered on the other screen.
    let before = tones(&kitchen).await?;
    comes(&kitchen, "First look").await?;
    comes(&second, "First look").await?;
    rings_on(&kitchen, before).await?;
    answer(&second, "First look: fork").await?;
    silent(&kitchen, "First look: fork").await?;

    // Without a connection the look is kept with its time, and comes once.
    offline(&kitchen.browser, true).await?;
    kitchen.press("hardly goes in").await?;
    kitchen.says("One tap waits").await?;
    offline(&kitchen.browser, false).await?;
    kitchen.find("//ol/li[contains(., 'Forked it: firm')]").await?;
    gone(&kitchen, "One tap waits").await?;

    // Killed in the midst of it, it goes on where it was: the band, the look, the other screen.
    kitchen.restart()?;
    kitchen.browser.refresh().await?;
    kitchen.find("//ol/li[contains(., 'Forked it: firm')]").await?;
    second.says("Ice-road chuck").await?;
    let looks =
        "return [...document.querySelectorAll('main ol li')].filter(li => li.innerText.includes('Forked')).length";
    ensure!(kitchen.browser.execute(looks, vec![]).await? == 1, "a look is there twice");

    // What if now: taken, the sheet follows; undone, it is as it was.
    kitchen.press("What if now").await?;
    kitchen.press_named("Do it: Up to a brisk simmer").await?;
    kitchen.find("//ol/li[contains(., 'up to a brisk simmer')]").await?;
    kitchen.says("small bubbles all over").await?;
    kitchen.press_named("Undo the change").await?;
    kitchen.says("bubbles breaking in one or two places").await?;
    kitchen.press("Gone wrong").await?;
    kitchen.says("The power is out").await?;

    // Tender, lifted, finished, closed.
    kitchen.press("in and out easily").await?;
    kitchen.says("Tender. Keep it hot").await?;
    kitchen.press("Lift it now").await?;
    for _ in 0..14 {
        if kitchen.text().await?.contains("Served: close the cook") {
            break;
        }
        let done = kitchen.text().await?.matches("Done: ").count();
        tap(&kitchen, "//main//button[normalize-space(.)='Done']").await?;
        kitchen.find(&format!("//ol/li[contains(., 'Done: ')][{}]", done + 1)).await?;
    }
    kitchen.press("Served: close the cook").await?;
    kitchen.press("Close the cook").await?;
    kitchen.says("What came of it").await?;
    second.close().await?;
    kitchen.close().await
}

#[tokio::test]
async fn a_night_is_slept_beside_and_handed_over_in_the_morning() -> Outcome {
    let kitchen = Kitchen::open(true, Viewport::Phone).await?;
    kitchen.go("/night").await?;
    kitchen.says("wakes you at").await?;
    kitchen.find("//*[contains(text(), '°C')]").await?;
    kitchen.assert_accessible().await?;
    kitchen.assert_fits().await?;
    kitchen.press("Good night").await?;
    kitchen.find("/html[contains(@class, 'night')]").await?;
    kitchen.press("Lighter").await?;
    kitchen.go("/cook/hand-over").await?;
    kitchen.says("dishes are on the heat").await?;
    kitchen.says("Probe “Pit probe” reads").await?;
    kitchen.assert_accessible().await?;
    kitchen.assert_fits().await?;
    // Every pane of a cook is read aloud and fits the phone.
    kitchen.go("/cook").await?;
    kitchen.press("Boathouse brisket").await?;
    for (pane, words) in [
        ("What if now", "Leave it as it is"),
        ("Gone wrong", "The fire is out"),
        ("Probes", "Heard, and not in this cook"),
    ] {
        kitchen.press(pane).await?;
        kitchen.says(words).await?;
        kitchen.assert_accessible().await?;
        kitchen.assert_fits().await?;
    }
    // One that is heard and in no place yet is put there by one tap, and taken back by another.
    kitchen.find("//*[@aria-label='Where Spare probe is']//button[1]").await?.click().await?;
    kitchen.says("Spare probe, in the meat").await?;
    kitchen.assert_no_errors().await?;
    kitchen.close().await
}
