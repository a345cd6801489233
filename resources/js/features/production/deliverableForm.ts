import { useForm } from '@inertiajs/react';

/** What is told of a new deliverable. */
export interface NewDeliverableFields {
    code: string;
    title: string;
    specification: string;
    newTitle: string;
    begin: string;
    root: string;
    below: string;
    document: File | null;
    owner: string;
    due: string;
    range: string;
    [key: string]: string | File | null;
}

type Texts = Exclude<keyof NewDeliverableFields & string, 'document'>;

/** The same with what the server said of it. */
export type DeliverableForm = Omit<ReturnType<typeof useForm<NewDeliverableFields>>, 'errors'> & {
    errors: Partial<Record<string, string>>;
};

export type Set = (key: Texts) => (event: { target: { value: string } }) => void;

export function useDeliverableForm(specification: string, begin: string): DeliverableForm {
    return useForm<NewDeliverableFields>({
        code: '',
        title: '',
        specification,
        newTitle: '',
        begin,
        root: '',
        below: '',
        document: null,
        owner: '',
        due: '',
        range: '',
    });
}
