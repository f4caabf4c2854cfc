import { Workshop } from './workshop';
void Workshop.start({ demo: true }).then((workshop) => console.log(workshop.url));
setInterval(() => {}, 1000);
