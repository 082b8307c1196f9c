//! The audit log, for directors: who did what, and when?

use actix_web::web::{Data, Query};
use actix_web::{HttpResponse, get};
use jogo_store::audit::{Deed, Noted, Sought};
use serde::{Deserialize, Serialize};
use utoipa::{IntoParams, ToSchema};
use utoipa_actix_web::service_config::ServiceConfig;
use uuid::Uuid;

use crate::api::{Cursor, Page};
use crate::facts::Entered;
use crate::json::Json;
use crate::problem::{Answer, Problem};
use crate::sign_in::SignedIn;
use crate::sign_in::rights::Act;
use crate::spreadsheet::ListForm;
use crate::state::State;

pub fn routes(config: &mut ServiceConfig) {
    config.service(export).service(list);
}

/// A line of the audit log.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct NotedView {
    id: i64,
    at: String,
    /// Who, by name; absent for the command line and for what Jogo does by itself.
    by: Option<String>,
    what: Deed,
    /// To what.
    about: String,
}

impl From<Noted> for NotedView {
    fn from(Noted { id, at, by, what, about }: Noted) -> NotedView {
        NotedView { id, at: at.to_string(), by, what, about }
    }
}

/// Which lines.
#[derive(Deserialize, IntoParams)]
#[into_params(parameter_in = Query)]
pub(in crate::api) struct Filter {
    /// Only what this person did.
    person: Option<Uuid>,
    /// Only this.
    #[param(inline)]
    what: Option<Deed>,
}

impl Filter {
    fn sought(self, before: Option<i64>) -> Sought {
        Sought { before, person: self.person, what: self.what }
    }
}

/// What was done by whom, the latest first.
#[utoipa::path(operation_id = "audit_list", params(Cursor, Filter),
    responses((status = 200, body = Page<NotedView>), (status = 422, body = Problem)))]
#[get("/audit")]
pub(in crate::api) async fn list(
    who: SignedIn,
    state: Data<State>,
    cursor: Query<Cursor>,
    filter: Query<Filter>,
) -> Answer<Json<Page<NotedView>>> {
    who.may(Act::Audit)?;
    let before = cursor.after.as_deref().map(str::parse).transpose();
    let before = before.map_err(|_| Problem::fault("/after", Entered::Cursor))?;
    let lines = state.store.noted(filter.into_inner().sought(before), cursor.limit() + 1).await?;
    let lines: Vec<NotedView> = lines.into_iter().map(NotedView::from).collect();
    Ok(Json(cursor.begun(lines, |line| line.id.to_string())))
}

/// The most lines in one file.
const MOST_LINES: usize = 20_000;

/// The same as a list that a spreadsheet opens, at most the latest 20,000 lines.
#[utoipa::path(operation_id = "audit_export", params(Filter),
    responses((status = 200, description = "The list", content_type = "text/csv")))]
#[get("/audit/export")]
pub(in crate::api) async fn export(
    who: SignedIn,
    state: Data<State>,
    filter: Query<Filter>,
) -> Answer<HttpResponse> {
    who.may(Act::Audit)?;
    let noted = state.store.noted(filter.into_inner().sought(None), MOST_LINES).await?;
    let mut lines = vec![["at", "by", "what", "about"].map(str::to_owned)];
    for noted in noted {
        let NotedView { at, by, what, about, .. } = noted.into();
        let what = serde_json::to_value(what).map_err(|e| Problem::internal(&e))?;
        lines.push([at, by.unwrap_or_default(), what.as_str().unwrap_or_default().to_owned(), about]);
    }
    ListForm::Csv.file("audit", &lines)
}
