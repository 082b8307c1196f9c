// A curriculum, or the curricula of a year, as a book: cover, contents with page numbers, chapters to leave out.
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { useSearchParams } from 'react-router'
import { t } from '../../../texts/t'
import { Choice } from '../../../ui/Choice'
import { asDate } from '../../../ui/figures'
import { Empty, ErrorNote, Loading } from '../../../ui/notes'
import { PAPERS, Paged, type Paper, type Piece } from '../../../ui/Paged'
import { PaperHead } from '../../../ui/Sheets'
import * as chapters from './chapters'
import { type BookPart, type Chapter, lastDay, PARTS, Title } from './chapters'
import { type Book, useBooks } from './queries'

export function BookPage() {
  const [address, setAddress] = useSearchParams()
  const ids = address.get('of')?.split(',').filter(Boolean) ?? []
  const read = useBooks(ids)
  const paper: Paper = address.get('paper') === 'Letter' ? 'Letter' : 'A4'
  const without = new Set(address.get('without')?.split(',') ?? [])
  const parts = PARTS.filter((part) => !without.has(part))
  const set = (key: string, value: string) => {
    const next = new URLSearchParams(address)
    if (value) next.set(key, value)
    else next.delete(key)
    setAddress(next, { replace: true })
  }
  const toggle = (part: BookPart) => {
    const left = PARTS.filter((each) => (each === part) !== without.has(each))
    set('without', left.join(','))
  }
  const failed = read.find((each) => each.isError && !each.data)
  const books = read.flatMap(({ data }) => data ?? [])
  return (
    <Box component="main" sx={{ p: { xs: 1, md: 3 }, '@media print': { p: 0 } }}>
      <Box className="no-print" sx={{ display: 'grid', gap: 1, mb: 3, maxWidth: 900, mx: 'auto' }}>
        <PaperHead title={t('book-title')} waits={books.length < ids.length} />
        <Choice
          label={t('book-parts')}
          options={PARTS}
          chosen={parts}
          says={(part) => t(`book-part-${part}`)}
          onToggle={toggle}
        />
        <Choice
          label={t('book-paper')}
          options={Object.keys(PAPERS)}
          chosen={[paper]}
          says={(name) => name}
          onToggle={(name) => set('paper', name === 'A4' ? '' : name)}
        />
      </Box>
      {failed && <ErrorNote error={failed.error} />}
      {ids.length === 0 && <Empty>{t('book-none')}</Empty>}
      {!failed && books.length < ids.length && <Loading />}
      {books.length > 0 && books.length === ids.length && (
        <Paged paper={paper} pieces={(pageOf) => pages(books, parts, pageOf)} />
      )}
    </Box>
  )
}

/** All pieces of the books, with a cover and the contents before them. */
function pages(books: Book[], parts: BookPart[], pageOf: (key: string) => number | undefined): Piece[] {
  const all = books.map((book, at) => ({ book, chapters: chaptersOf(book, parts, `b${at}`) }))
  return [
    { key: 'cover', node: <Cover books={books} /> },
    { key: 'contents', fresh: true, node: <Contents all={all} pageOf={pageOf} /> },
    ...all.flatMap(({ chapters }) => chapters.flatMap(({ pieces }) => pieces)),
  ]
}

function chaptersOf(book: Book, parts: BookPart[], key: string): Chapter[] {
  return parts.flatMap((part) => {
    const made = chapters[part](book, `${key}-${part}`)
    return Array.isArray(made) ? made : [made]
  })
}

function Cover({ books }: { books: Book[] }) {
  const [first] = books
  if (!first) return null
  return (
    <Box sx={{ pt: '60mm', pb: '40mm', display: 'grid', gap: 2 }}>
      <Typography variant="h2" component="p">
        {first.academy}
      </Typography>
      {books.map((book) => (
        <Box key={book.id}>
          <Typography variant="h1" component="p" sx={{ fontSize: 40 }}>
            {book.name}
          </Typography>
          <Typography>
            {t('book-span', { band: book.band, first: asDate(book.start), last: asDate(lastDay(book)) })}
          </Typography>
          <Typography color="text.secondary">
            {book.edition ? t('today-edition', { n: book.edition }) : t('book-draft')}
          </Typography>
        </Box>
      ))}
    </Box>
  )
}

interface ContentsProps {
  all: { book: Book; chapters: Chapter[] }[]
  pageOf: (key: string) => number | undefined
}

function Contents({ all, pageOf }: ContentsProps) {
  return (
    <>
      <Title>{t('book-contents')}</Title>
      {all.map(({ book, chapters }) => (
        <Box
          key={book.id}
          component="nav"
          aria-label={t('book-contents-of', { name: book.name })}
          sx={{ mb: 2 }}
        >
          {all.length > 1 && <Typography sx={{ fontWeight: 650 }}>{book.name}</Typography>}
          {chapters.map(({ key, title }) => (
            <Box key={key} sx={{ display: 'flex', gap: 1, alignItems: 'baseline' }}>
              <Typography>{title}</Typography>
              <Box sx={{ flex: 1, borderBottom: '1px dotted', borderColor: 'text.secondary' }} />
              <Typography>{pageOf(key) ?? ' '}</Typography>
            </Box>
          ))}
        </Box>
      ))}
    </>
  )
}
