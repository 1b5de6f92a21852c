/** Whether this page is open on the computer that serves it; phones and tablets come by another name. */
export const isAtComputer = (name: string = window.location.hostname): boolean =>
  name === 'localhost' || name === '[::1]' || /^127(\.\d{1,3}){3}$/.test(name)
