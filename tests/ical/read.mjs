// Reads an iCalendar file from standard input with another parser than the one that wrote it; prints its events as JSON.
import ICAL from 'ical.js';

let text = '';
for await (const chunk of process.stdin) {
    text += chunk;
}
const calendar = new ICAL.Component(ICAL.parse(text));
const events = calendar.getAllSubcomponents('vevent').map((part) => {
    const event = new ICAL.Event(part);
    return { uid: event.uid, summary: event.summary, description: event.description, start: event.startDate.toJSDate().toISOString(), end: event.endDate.toJSDate().toISOString() };
});
console.log(JSON.stringify({ version: calendar.getFirstPropertyValue('version'), product: calendar.getFirstPropertyValue('prodid'), events }));
