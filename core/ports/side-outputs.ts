import { span, word } from './field.ts'
import { definePort } from './port.ts'

/** The outputs of a transaxle: joint centres from its middle line, each side. */
export const sideOutputs = definePort({
  kind: 'side-outputs',
  title: 'Transaxle outputs',
  end: 'gearbox',
  fields: {
    family: word('Inner joint family'),
    leftMm: span('Left joint centre from the crank axis', { methods: ['rule', 'tape-shaft'] }),
    rightMm: span('Right joint centre from the crank axis', { methods: ['rule', 'tape-shaft'] }),
    alongMm: span('Middle of the final drive from the bell face', {
      methods: ['rule', 'tape-shaft'],
    }),
    besideMm: span('Joints beside the crank axis, across it', { methods: ['rule', 'tape-shaft'] }),
    belowMm: span('Joints below the crank axis', { methods: ['rule', 'tape-shaft'] }),
  },
  how: {
    family: 'What the inner joints are called by their maker',
    leftMm: 'From the bell axis to the middle of the left joint, across',
    rightMm: 'From the bell axis to the middle of the right joint, across',
    alongMm: 'Bar across the bell face, tape to the middle between both joints',
    besideMm: 'Rule from the line of the input shaft across to the joint',
    belowMm: 'Rule from the height of the input shaft down to the joint',
  },
})
