/** Until sign-in exists there is one workshop, made by the first migration. */
export const THE_WORKSHOP_ID = '01900000-0000-7000-8000-000000000001';
