// The document of the tests looks through all of a page for the labels of one field, and through each label for its field: half of
// the time of these tests. The same answer, from the labels alone.
const LABELLED = [
  HTMLInputElement,
  HTMLSelectElement,
  HTMLTextAreaElement,
  HTMLButtonElement,
  HTMLOutputElement,
  HTMLMeterElement,
  HTMLProgressElement,
]
const FIELDS = 'button, input:not([type="hidden"]), meter, output, progress, select, textarea'

type Field = InstanceType<(typeof LABELLED)[number]>

const isFor = (label: HTMLLabelElement, field: Field) =>
  label.hasAttribute('for')
    ? label.htmlFor === field.id && field.ownerDocument.getElementById(field.id) === field
    : label.contains(field) && label.querySelector(FIELDS) === field

for (const { prototype } of LABELLED)
  Object.defineProperty(prototype, 'labels', {
    configurable: true,
    get(this: Field) {
      return [...this.ownerDocument.getElementsByTagName('label')].filter((label) => isFor(label, this))
    },
  })
