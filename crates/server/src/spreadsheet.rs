//! Lists in and out as files: CSV, or spreadsheets (XLSX), read as cells of text and written from them.

use crate::facts::Entered;
use std::io::{Cursor, Read};

use actix_web::web::Bytes;
use actix_web::{HttpResponse, http::header};
use calamine::{Data, DataRef, Reader, Xlsx, XlsxError};
use jogo_core::fact::Fact;
use jogo_core::input::sheet::{LARGEST_FILE, Sheet, SheetError as ListError, to_csv};
use rust_xlsxwriter::{Workbook, XlsxError as WriteError};
use serde::Deserialize;
use utoipa::ToSchema;

use crate::problem::{Answer, Problem};

/// What a spreadsheet may unpack to, in bytes: far more than a squad list, far less than a machine's memory.
const LARGEST_UNPACKED: u64 = 5_000_000;
/// How much text its cells may hold together, in bytes: one text may stand in many of them.
const LARGEST_TEXT: usize = LARGEST_FILE;
/// How many columns and lines are looked at.
const MOST_COLUMNS: usize = 40;
const MOST_LINES: usize = 1_000;

/// Whether a file is a packed one, as spreadsheets are.
fn is_one(file: &[u8]) -> bool {
    file.starts_with(b"PK\x03\x04")
}

/// Why a spreadsheet could not be read.
#[derive(Debug, PartialEq)]
pub enum SheetError {
    /// It is damaged, or something else.
    Unreadable,
    /// It would unpack to far more than a list.
    Large,
    /// Its first sheet is not a list.
    List(ListError),
}

impl From<XlsxError> for SheetError {
    fn from(_: XlsxError) -> SheetError {
        SheetError::Unreadable
    }
}

impl From<ListError> for SheetError {
    fn from(fault: ListError) -> SheetError {
        SheetError::List(fault)
    }
}

impl From<SheetError> for Fact {
    fn from(error: SheetError) -> Fact {
        match error {
            SheetError::Unreadable => Entered::Spreadsheet.into(),
            SheetError::Large => Entered::LargeSpreadsheet { megabytes: LARGEST_UNPACKED / 1_000_000 }.into(),
            SheetError::List(fault) => fault.into(),
        }
    }
}

/// A list out of a file that somebody sent, whichever of the two forms it has.
pub async fn list(file: Bytes) -> Answer<Sheet> {
    if !is_one(&file) {
        return Sheet::from_csv(&file).map_err(|e| Problem::fault("", e));
    }
    let sheet = actix_web::web::block(move || read(&file)).await;
    sheet.map_err(|e| Problem::internal(&e))?.map_err(|error| match error {
        SheetError::Large => Problem::large_sheet(error),
        error => Problem::fault("", error),
    })
}

/// In which form a list goes out.
#[derive(Clone, Copy, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum ListForm {
    /// CSV in UTF-8.
    Csv,
    /// A spreadsheet.
    Xlsx,
}

impl ListForm {
    /// Lines as a file to be kept under a name.
    pub fn file<const N: usize>(self, name: &str, lines: &[[String; N]]) -> Answer<HttpResponse> {
        let mut answer = HttpResponse::Ok();
        let named = |ending: &str| format!("attachment; filename=\"{name}.{ending}\"");
        Ok(match self {
            ListForm::Csv => answer
                .content_type("text/csv; charset=utf-8")
                .insert_header((header::CONTENT_DISPOSITION, named("csv")))
                .body(to_csv(lines)),
            ListForm::Xlsx => answer
                .content_type("application/vnd.openxmlformats-officedocument.spreadsheetml.sheet")
                .insert_header((header::CONTENT_DISPOSITION, named("xlsx")))
                .body(write(lines).map_err(|e| Problem::internal(&e))?),
        })
    }
}

/// The first sheet of a spreadsheet.
fn read(file: &[u8]) -> Result<Sheet, SheetError> {
    let mut packed = zip::ZipArchive::new(Cursor::new(file)).map_err(|_| SheetError::Unreadable)?;
    // Counted while it is unpacked: what a file says of its own size may be wrong.
    let mut left = LARGEST_UNPACKED;
    for i in 0..packed.len() {
        let part = packed.by_index(i).map_err(|_| SheetError::Unreadable)?;
        let read = std::io::copy(&mut part.take(left + 1), &mut std::io::sink());
        left = left.checked_sub(read.map_err(|_| SheetError::Unreadable)?).ok_or(SheetError::Large)?;
    }
    let mut book: Xlsx<_> = Xlsx::new(Cursor::new(file))?;
    let first = book.sheet_names().first().cloned().ok_or(SheetError::Unreadable)?;
    let mut cells = book.worksheet_cells_reader(&first)?;
    let (mut lines, mut text_left) = (Vec::<Vec<String>>::new(), LARGEST_TEXT);
    while let Some(cell) = cells.next_cell()? {
        let (line, column) = (cell.get_position().0 as usize, cell.get_position().1 as usize);
        if line >= MOST_LINES || column >= MOST_COLUMNS {
            continue;
        }
        if lines.len() <= line {
            lines.resize(line + 1, Vec::new());
        }
        let cells = &mut lines[line];
        if cells.len() <= column {
            cells.resize(column + 1, String::new());
        }
        if let DataRef::SharedString(text) = cell.get_value() {
            text_left = text_left.checked_sub(text.len()).ok_or(SheetError::Large)?;
        }
        cells[column] = text(&Data::from(cell.get_value().clone()));
    }
    Ok(Sheet::from_cells(lines)?)
}

/// A cell as it would be written in a list: a day as 2023-04-17, a whole number without a point.
fn text(cell: &Data) -> String {
    match cell {
        Data::DateTime(day) => {
            let (year, month, day, ..) = day.to_ymd_hms_milli();
            format!("{year:04}-{month:02}-{day:02}")
        }
        Data::Float(number) if number.fract() == 0.0 => format!("{number:.0}"),
        other => other.to_string().trim().to_owned(),
    }
}

/// A spreadsheet with one sheet of text.
fn write<const N: usize>(lines: &[[String; N]]) -> Result<Vec<u8>, WriteError> {
    let mut book = Workbook::new();
    let sheet = book.add_worksheet();
    for (line, cells) in (0_u32..).zip(lines) {
        for (column, cell) in (0_u16..).zip(cells) {
            sheet.write_string(line, column, cell)?;
        }
    }
    book.save_to_buffer()
}
