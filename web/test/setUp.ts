import { configure } from '@testing-library/react'

// Two workers share two cores; what comes late is not missing. No stage hides what it shows: to ask that of every element of
// a page was most of what a query by role took.
configure({ asyncUtilTimeout: 20_000, defaultHidden: true })

/**
 * A field's labels, by one look through all labels: jsdom walks the whole page for each field instead, and a query by
 * label asks every field, which on the largest stages took minutes.
 */
for (const { prototype } of [
  HTMLInputElement,
  HTMLSelectElement,
  HTMLTextAreaElement,
  HTMLButtonElement,
  HTMLOutputElement,
])
  Object.defineProperty(prototype, 'labels', {
    configurable: true,
    get(this: HTMLElement) {
      const around = this.closest('label')
      const named =
        this.id === '' ? [] : [...document.getElementsByTagName('label')].filter((l) => l.htmlFor === this.id)
      return around && around.htmlFor === '' ? [...named, around] : named
    },
  })
