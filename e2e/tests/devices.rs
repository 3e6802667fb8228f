//! Other screens of the kitchen in real browsers: a phone comes in by the passphrase, loses the network in the middle of a cook
//! and comes back; a guest by an invitation; the wall.

use std::time::Duration;

use anyhow::{Context, ensure};
use ergastic_e2e::{Kitchen, Line, Viewport};
use serde_json::json;

type Outcome = anyhow::Result<()>;

const PASSPHRASE: &str = "seven ladles of cold smoke";
/// So many minutes of the kitchen pass in one of ours.
const SPEED: u32 = 20;

/// Waits until a page says something no longer.
async fn gone(kitchen: &Kitchen, words: &str) -> Outcome {
    for _ in 0..200 {
        if !kitchen.text().await?.contains(words) {
            return Ok(());
        }
        tokio::time::sleep(Duration::from_millis(100)).await;
    }
    anyhow::bail!("{words} still stands on the page:\n{}", kitchen.text().await?)
}

/// Waits until there is no such element.
async fn without(kitchen: &Kitchen, xpath: &str) -> Outcome {
    let count =
        "return document.evaluate(arguments[0], document, null, XPathResult.ORDERED_NODE_SNAPSHOT_TYPE).snapshotLength";
    for _ in 0..200 {
        if kitchen.browser.execute(count, vec![json!(xpath)]).await? == json!(0) {
            return Ok(());
        }
        tokio::time::sleep(Duration::from_millis(100)).await;
    }
    anyhow::bail!("{xpath} is still there")
}

/// Gives the passphrase.
async fn come_in(device: &Kitchen, name: &str, passphrase: &str) -> Outcome {
    device.fill("What is this screen called?", name).await?;
    device.fill("passphrase", passphrase).await?;
    device.press("Come in").await
}

/// Waits until the browser keeps the page for later.
async fn kept(device: &Kitchen) -> Outcome {
    let ready = "const done = arguments[0]; navigator.serviceWorker.ready.then(() => done(true), () => done(false))";
    ensure!(device.browser.execute_async(ready, vec![]).await? == json!(true), "the page is not kept");
    // What is read from now on goes through it.
    device.browser.refresh().await?;
    Ok(())
}

#[tokio::test]
async fn a_phone_comes_in_loses_the_network_in_the_middle_of_a_cook_and_comes_back() -> Outcome {
    let mut kitchen = Kitchen::open_wide(Viewport::Table, SPEED, PASSPHRASE).await?;
    let demo = std::fs::read_to_string(ergastic_e2e::root().join("demo/hub.json"))?;
    kitchen.hub(&serde_json::from_str(&demo)?)?;
    let line = Line::to(kitchen.port()?).await?;
    let phone = kitchen.screen_beyond(&line, Viewport::Phone).await?;

    // Nothing is shown before the passphrase is given.
    phone.go("/cook").await?;
    phone.says("This kitchen asks who is there").await?;
    phone.assert_accessible().await?;
    phone.assert_fits().await?;
    come_in(&phone, "Apron phone", "seven ladles of warm smoke").await?;
    phone.says("this is not the kitchen's passphrase").await?;
    ensure!(!phone.text().await?.contains("Ice-road"), "a dish is shown to a stranger");
    come_in(&phone, "Apron phone", PASSPHRASE).await?;
    phone.says("On the heat").await?;
    kept(&phone).await?;
    phone.press("Ice-road chuck").await?;
    phone.says("Leave it: lid on loosely").await?;

    // The other sees who is in, who has the next thing in hand, and whose tap it was.
    kitchen.go("/devices").await?;
    kitchen.says("Apron phone").await?;
    kitchen.says("Let another screen in").await?;
    kitchen.assert_accessible().await?;
    kitchen.assert_fits().await?;
    kitchen.go("/cook").await?;
    kitchen.says("Ice-road chuck").await?;
    phone.press("I have it").await?;
    kitchen.says("Apron phone has it").await?;
    kitchen.press("Ice-road chuck").await?;
    kitchen.find("//ol/li[contains(., 'Apron phone has it: First look')][contains(., '· Apron phone')]").await?;
    phone.press("Let it go").await?;
    without(&kitchen, "//main//*[@role='status'][normalize-space(.)='Apron phone has it']").await?;

    // The look rings on both, and an answer on one silences both.
    let first_look = "//*[@role='alert'][contains(., 'First look')]";
    for device in [&kitchen, &phone] {
        while device.find(first_look).await.is_err() {}
    }
    let answer = "//*[@role='alert']//p[contains(., 'First look')]/ancestor::div[.//button][1]//button[1]";
    phone.find(answer).await?.click().await?;
    without(&kitchen, "//*[@role='alert']//p[starts-with(., 'First look')]").await?;
    kitchen.find("//ol/li[contains(., 'Heard: First look')][contains(., '· Apron phone')]").await?;

    // Out of reach: the page still opens, says how old it is, goes on with its clocks, and keeps what is tapped.
    line.cut(true);
    phone.browser.refresh().await?;
    phone.says("The kitchen does not answer").await?;
    phone.says("Ice-road chuck").await?;
    phone.find("//*[@role='timer']").await?;
    phone.press("hardly goes in").await?;
    phone.says("One tap waits").await?;
    phone.assert_accessible().await?;
    phone.assert_fits().await?;
    ensure!(!kitchen.text().await?.contains("Forked it"), "a tap came over a line that was cut");

    // Back in reach it comes, once, with the time of the tap, and with whose it was.
    line.cut(false);
    gone(&phone, "One tap waits").await?;
    gone(&phone, "The kitchen does not answer").await?;
    kitchen.find("//ol/li[contains(., 'Forked it: firm')][contains(., '· Apron phone')]").await?;
    let looks =
        "return [...document.querySelectorAll('main ol li')].filter(li => li.innerText.includes('Forked')).length";
    ensure!(kitchen.browser.execute(looks, vec![]).await? == 1, "a look is there twice");

    // A restart signs nobody out; who is signed out sees nothing more.
    kitchen.restart()?;
    phone.browser.refresh().await?;
    phone.find("//ol/li[contains(., 'Forked it: firm')]").await?;
    kitchen.go("/devices").await?;
    kitchen.find("//button[@aria-label='Sign Apron phone out']").await?.click().await?;
    phone.says("This kitchen asks who is there").await?;
    kitchen.says("No other screen is in").await?;
    phone.close().await?;
    kitchen.close().await
}

#[tokio::test]
async fn a_guest_is_invited_to_look_and_the_wall_shows_the_whole_kitchen() -> Outcome {
    let kitchen = Kitchen::open_wide(Viewport::Table, 1, PASSPHRASE).await?;
    let line = Line::to(kitchen.port()?).await?;
    let guest = kitchen.screen_beyond(&line, Viewport::Table).await?;
    kitchen.go("/devices").await?;
    kitchen.press("To look at").await?;
    kitchen.press("Invite a screen").await?;
    kitchen.find("//img[contains(@alt, 'camera')]").await?;
    kitchen.says("It lets one screen in").await?;
    kitchen.fill("Name of the probe or hub", "Pit hub").await?;
    kitchen.press("Make a key").await?;
    let shown = kitchen.find("//*[starts-with(normalize-space(.), 'Authorization: Bearer')]").await?.text().await?;
    let key = shown.trim_start_matches("Authorization: Bearer ").to_owned();
    ensure!(kitchen.hub_is_let_in(&key)?, "the hub is not let in with its key");
    ensure!(!kitchen.hub_is_let_in("another")?, "a hub is let in with any key");
    kitchen.says("sends now").await?;
    kitchen.press_named("Revoke the key of Pit hub").await?;
    without(&kitchen, "//li[contains(., 'Pit hub')]").await?;
    ensure!(!kitchen.hub_is_let_in(&key)?, "a revoked key lets in");
    kitchen.assert_accessible().await?;

    // The camera reads the address; here it is asked for as the page asks for it.
    let asked = "return fetch('/api/invitations', {method: 'POST', headers: {'content-type': 'application/json'}, \
                 body: '{\"role\": \"look\"}'}).then(answer => answer.json()).then(made => made.url)";
    let url = kitchen.browser.execute(asked, vec![]).await?;
    let code = url.as_str().and_then(|url| url.split_once('#')).context("the code")?.1.to_owned();
    guest.go(&format!("/in#{code}")).await?;
    guest.says("You are invited in").await?;
    guest.fill("What is this screen called?", "Dining room").await?;
    guest.press("Come in").await?;
    guest.says("This screen only looks").await?;
    guest.press("Ice-road chuck").await?;
    guest.find("//main//button[contains(., 'hardly goes in')][@disabled]").await?;
    guest.assert_accessible().await?;
    kitchen.says("Dining room").await?;

    // The wall: the hour, the bell, every dish with what it asks for, and what comes next.
    for device in [&guest, &kitchen] {
        device.go("/wall").await?;
        device.says("Ice-road chuck").await?;
        device.says("Boathouse brisket").await?;
        device.says("until the next thing").await?;
        device.says("Plates").await?;
        device.assert_accessible().await?;
        device.assert_fits().await?;
    }
    // Out of reach it says so, and shows what it knew.
    line.cut(true);
    guest.says("The kitchen has not answered").await?;
    guest.says("Ice-road chuck").await?;
    line.cut(false);
    gone(&guest, "The kitchen has not answered").await?;
    guest.close().await?;
    kitchen.close().await
}
