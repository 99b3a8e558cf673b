/** Elements that are controls, and what makes each one Material's. */
const CONTROLS = ['button', 'select', 'textarea', 'table', 'dialog', 'input', 'progress'];
const MATERIAL = /^(mat[A-Z-]|cdk)/;
/** A file is chosen by the browser's own field; a button of Material opens it. */
const isFile = (attributes) =>
  attributes.some(({ name, value }) => name === 'type' && value === 'file');

/** Every control is one of Material's: a bare one in a template is a fault. */
export const materialControls = {
  meta: {
    type: 'problem',
    schema: [],
    messages: { bare: 'A bare <{{name}}>: use the part of Angular Material for it.' },
  },
  create: (context) => ({
    Element({ name, attributes = [], inputs = [], loc, sourceSpan, startSourceSpan }) {
      if (!CONTROLS.includes(name) || isFile(attributes)) return;
      if ([...attributes, ...inputs].some((one) => MATERIAL.test(one.name))) return;
      const start = (startSourceSpan ?? sourceSpan)?.start;
      context.report({
        messageId: 'bare',
        data: { name },
        loc: loc ?? { line: start.line + 1, column: start.col },
      });
    },
  }),
};
