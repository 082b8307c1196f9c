//! Reading published editions.

use std::collections::{BTreeSet, HashMap};
use std::sync::Arc;

use jogo_core::delivery::edition::Edition;
use uuid::Uuid;

use crate::{Store, Stored, from_json};

impl Store {
    /// Editions by their ids, each read once.
    pub(crate) async fn editions_read(&self, ids: BTreeSet<Uuid>) -> Stored<HashMap<Uuid, Arc<Edition>>> {
        let mut found = HashMap::new();
        for id in ids {
            let edition = match self.editions.get(&id) {
                Some(known) => known,
                None => {
                    let doc = sqlx::query_scalar!("SELECT doc FROM edition WHERE id = ?", id);
                    let edition = Arc::new(from_json("an edition", &doc.fetch_one(&self.read).await?)?);
                    self.editions.keep(id, &edition);
                    edition
                }
            };
            found.insert(id, edition);
        }
        Ok(found)
    }
}
