//! One's own account: the password, where one is signed in, and the second factor.

use actix_web::web::{Data, Path};
use actix_web::{HttpRequest, HttpResponse, delete, get, post, put};
use jiff::Timestamp;
use jogo_store::audit::Deed;
use jogo_store::people::sign_ins::{Device, SignIn};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;
use utoipa_actix_web::service_config::ServiceConfig;
use uuid::Uuid;

use crate::facts::{Entered, Thing};
use crate::json::Json;
use crate::problem::{Answer, Problem};
use crate::scanned::scanned;
use crate::sign_in::tries::Counted;
use crate::sign_in::{self, SignedIn, passwords, second_factor};
use crate::state::State;

pub fn routes(config: &mut ServiceConfig) {
    config
        .service(change_password)
        .service(sign_ins)
        .service(end_sign_in)
        .service(end_other_sign_ins)
        .service(show_second_factor)
        .service(begin_second_factor)
        .service(turn_on_second_factor)
        .service(turn_off_second_factor)
        .service(leave_team)
        .service(leave_club);
}

/// Errs unless this is the password of whoever asks. Wrong ones are counted, as at sign-in.
async fn is_own(state: &State, who: &SignedIn, password: String, place: &'static str) -> Answer<()> {
    let counted = Counted::of(&who.0.login, Some("own password"));
    state.tries.begin(&counted, Timestamp::now())?;
    let hash = state.store.password(who.0.id).await?.ok_or_else(Problem::signed_out)?;
    match passwords::in_turn(move || passwords::verify(&password, &hash)).await? {
        true => state.tries.right(&counted),
        false => return Err(Problem::fault(place, Entered::PasswordNow)),
    }
    Ok(())
}

/// Another password.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(in crate::api) struct PasswordSaid {
    /// The one of now.
    now: String,
    /// The one from now on.
    password: String,
}

/// Changes one's own password; every other sign-in ends.
#[utoipa::path(operation_id = "account_change_password", request_body = PasswordSaid,
    responses((status = 204), (status = 429, description = "Too many wrong passwords.")))]
#[put("/session/password")]
pub(in crate::api) async fn change_password(
    who: SignedIn,
    state: Data<State>,
    request: HttpRequest,
    said: Json<PasswordSaid>,
) -> Answer<HttpResponse> {
    let PasswordSaid { now, password } = said.into_inner();
    is_own(&state, &who, now, "/now").await?;
    let hash = sign_in::hashed(&who.0.login, password).await?;
    let own = sign_in::token_hash(&request, &state).unwrap_or_default();
    state.store.change_password(who.0.id, &hash, &own).await?;
    state.store.note(state.clock.now(), Some(who.0.id), Deed::PasswordChanged, "").await?;
    Ok(HttpResponse::NoContent().finish())
}

/// On what somebody signed in, as far as their browser says.
#[derive(Serialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub(in crate::api) enum DeviceView {
    Phone,
    Computer,
    Other,
}

/// A sign-in of one's own.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct SignInView {
    id: Uuid,
    device: DeviceView,
    since: String,
    /// When it was used last, to about a day.
    seen_at: String,
    /// Whether it is the one that asks.
    own: bool,
}

impl From<SignIn> for SignInView {
    fn from(SignIn { id, device, since, seen_at, own }: SignIn) -> SignInView {
        let device = match device {
            Device::Phone => DeviceView::Phone,
            Device::Computer => DeviceView::Computer,
            Device::Other => DeviceView::Other,
        };
        SignInView { id, device, since: since.to_string(), seen_at: seen_at.to_string(), own }
    }
}

/// Where one is signed in, the sign-in used last first.
#[utoipa::path(operation_id = "account_sign_ins", responses((status = 200, body = Vec<SignInView>)))]
#[get("/session/sign-ins")]
pub(in crate::api) async fn sign_ins(
    who: SignedIn,
    state: Data<State>,
    request: HttpRequest,
) -> Answer<Json<Vec<SignInView>>> {
    let own = sign_in::token_hash(&request, &state).unwrap_or_default();
    let sign_ins = state.store.sign_ins(who.0.id, &own, state.clock.now()).await?;
    Ok(Json(sign_ins.into_iter().map(SignInView::from).collect()))
}

/// Ends one of one's own sign-ins: that device is signed out.
#[utoipa::path(operation_id = "account_end_sign_in", params(("id" = Uuid, Path)), responses((status = 204)))]
#[delete("/session/sign-ins/{id}")]
pub(in crate::api) async fn end_sign_in(
    who: SignedIn,
    state: Data<State>,
    id: Path<Uuid>,
) -> Answer<HttpResponse> {
    if !state.store.end_sign_in(who.0.id, *id).await? {
        return Err(Problem::not_found(Thing::SignIn));
    }
    state.store.note(state.clock.now(), Some(who.0.id), Deed::SignInsEnded, "").await?;
    Ok(HttpResponse::NoContent().finish())
}

/// Ends all of one's own sign-ins but this one.
#[utoipa::path(operation_id = "account_end_other_sign_ins", responses((status = 204)))]
#[delete("/session/sign-ins")]
pub(in crate::api) async fn end_other_sign_ins(
    who: SignedIn,
    state: Data<State>,
    request: HttpRequest,
) -> Answer<HttpResponse> {
    let own = sign_in::token_hash(&request, &state).unwrap_or_default();
    if state.store.end_other_sign_ins(who.0.id, &own).await? > 0 {
        state.store.note(state.clock.now(), Some(who.0.id), Deed::SignInsEnded, "").await?;
    }
    Ok(HttpResponse::NoContent().finish())
}

/// Whether one signs in with a code as well.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct SecondFactorView {
    on: bool,
}

/// Whether one signs in with a code as well.
#[utoipa::path(operation_id = "account_second_factor", responses((status = 200, body = SecondFactorView)))]
#[get("/session/second-factor")]
pub(in crate::api) async fn show_second_factor(
    who: SignedIn,
    state: Data<State>,
) -> Answer<Json<SecondFactorView>> {
    let on = state.store.second_factor(who.0.id).await?.is_some_and(|factor| factor.on);
    Ok(Json(SecondFactorView { on }))
}

/// One's password, shown once more before something that matters.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(in crate::api) struct PasswordShown {
    password: String,
}

/// What an app makes codes from. It is shown this once.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct SecondFactorBegun {
    /// To be typed.
    secret: String,
    /// The same as a picture to be scanned, as SVG.
    code: String,
}

/// Begins to set a second factor up: an app on one's own device makes codes from what is answered.
#[utoipa::path(operation_id = "account_begin_second_factor", request_body = PasswordShown,
    responses((status = 200, body = SecondFactorBegun), (status = 429, description = "Too many wrong passwords.")))]
#[post("/session/second-factor")]
pub(in crate::api) async fn begin_second_factor(
    who: SignedIn,
    state: Data<State>,
    said: Json<PasswordShown>,
) -> Answer<Json<SecondFactorBegun>> {
    is_own(&state, &who, said.into_inner().password, "/password").await?;
    let secret = second_factor::secret()?;
    if !state.store.begin_second_factor(who.0.id, &secret).await? {
        return Err(Problem::fault("", Entered::SecondFactorOn));
    }
    let academy = state.store.academy().await?.unwrap_or_default();
    let address = second_factor::address(&secret, &academy, &who.0.login);
    Ok(Json(SecondFactorBegun { secret: second_factor::typed(&secret), code: scanned(&address)? }))
}

/// A code of an app.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(in crate::api) struct CodeSaid {
    code: String,
}

/// Codes for the day on which the device is lost; each works once. They are shown this once.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct RecoveryCodes {
    codes: Vec<String>,
}

/// Turns the second factor on: the code shows that the app makes the right ones.
#[utoipa::path(operation_id = "account_turn_on_second_factor", request_body = CodeSaid,
    responses((status = 200, body = RecoveryCodes), (status = 404, body = Problem), (status = 429, description = "Too many wrong codes.")))]
#[put("/session/second-factor")]
pub(in crate::api) async fn turn_on_second_factor(
    who: SignedIn,
    state: Data<State>,
    said: Json<CodeSaid>,
) -> Answer<Json<RecoveryCodes>> {
    let counted = Counted::of(&who.0.login, Some("first code"));
    state.tries.begin(&counted, Timestamp::now())?;
    let begun = state.store.second_factor(who.0.id).await?.filter(|factor| !factor.on);
    let begun = begun.ok_or_else(|| Problem::not_found(Thing::SecondFactor))?;
    let step = second_factor::step_of(&begun.secret, &said.code, second_factor::now());
    let step = step.ok_or_else(|| Problem::fault("/code", Entered::Code))?;
    state.tries.right(&counted);
    let codes = second_factor::recovery_codes()?;
    let kept: Vec<Vec<u8>> = codes.iter().map(|code| second_factor::kept(code)).collect();
    let now = state.clock.now();
    state.store.turn_on_second_factor(who.0.id, step, &kept, now).await?;
    state.store.note(now, Some(who.0.id), Deed::SecondFactorOn, "").await?;
    Ok(Json(RecoveryCodes { codes }))
}

/// Turns the second factor off.
#[utoipa::path(operation_id = "account_turn_off_second_factor", request_body = PasswordShown,
    responses((status = 204), (status = 404, body = Problem), (status = 429, description = "Too many wrong passwords.")))]
#[post("/session/second-factor/off")]
pub(in crate::api) async fn turn_off_second_factor(
    who: SignedIn,
    state: Data<State>,
    said: Json<PasswordShown>,
) -> Answer<HttpResponse> {
    is_own(&state, &who, said.into_inner().password, "/password").await?;
    if !state.store.drop_second_factor(who.0.id).await? {
        return Err(Problem::not_found(Thing::SecondFactor));
    }
    state.store.note(state.clock.now(), Some(who.0.id), Deed::SecondFactorOff, &who.0.name).await?;
    Ok(HttpResponse::NoContent().finish())
}

/// Gives up a team that one coaches.
#[utoipa::path(operation_id = "account_leave_team", params(("team" = Uuid, Path)), responses((status = 204)))]
#[delete("/session/teams/{team}")]
pub(in crate::api) async fn leave_team(
    who: SignedIn,
    state: Data<State>,
    team: Path<Uuid>,
) -> Answer<HttpResponse> {
    match state.store.leave_team(*team, who.0.id, state.clock.now()).await? {
        true => Ok(HttpResponse::NoContent().finish()),
        false => Err(Problem::not_found(Thing::Team)),
    }
}

/// Gives up a club that one leads.
#[utoipa::path(operation_id = "account_leave_club", params(("club" = Uuid, Path)), responses((status = 204)))]
#[delete("/session/clubs/{club}")]
pub(in crate::api) async fn leave_club(
    who: SignedIn,
    state: Data<State>,
    club: Path<Uuid>,
) -> Answer<HttpResponse> {
    match state.store.leave_club(*club, who.0.id, who.0.id, state.clock.now()).await? {
        true => Ok(HttpResponse::NoContent().finish()),
        false => Err(Problem::not_found(Thing::Club)),
    }
}
