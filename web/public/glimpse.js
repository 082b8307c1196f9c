// Shows a snapshot of Today until the page has started; src/storage/glimpse.ts takes it and removes it again.
// It stands in a file of its own, since the page's policy runs no script that is written into the page.
;(() => {
  try {
    const root = document.getElementById('root')
    const seen = JSON.parse(localStorage.getItem('jogo.glimpse') ?? 'null')
    const today = new Date().toDateString()
    const here = location.pathname === '/' || location.pathname === seen?.path
    if (!root || !seen || !here || seen.day !== today) return
    const style = document.createElement('style')
    style.id = 'glimpse'
    style.nonce = document.querySelector('meta[name="csp-nonce"]').content
    style.textContent = seen.css
    document.head.append(style)
    root.innerHTML = seen.html
    for (const each of root.querySelectorAll('[data-style]')) each.style.cssText = each.dataset.style
    // It is a picture: nothing in it can be pressed yet.
    root.inert = true
    document.documentElement.lang = seen.lang
  } catch {
    // Nothing was kept, or nothing that can be read: the page starts without it.
  }
})()
