import { t } from '@lingui/core/macro';
import { typedTime } from '../../lib/zone';
import type { BoardPage, BoardRow } from '../../types/views';
import { InPlace } from './InPlace';

/** What a line may be given. */
export interface Given extends Pick<BoardPage, 'people' | 'specifications'> {
    production: number;
}

interface Props {
    row: BoardRow;
    given: Given;
}

/** A title, changed where it stands. */
export function LineTitle({ row, given: { production } }: Props) {
    return (
        <InPlace
            row={row}
            production={production}
            name="title"
            label={t`title`}
            text={row.title === '' ? undefined : row.title}
            nothing={t`no title`}
            value={row.title}
            className="aside block max-w-full truncate text-left text-[12.5px]"
            field={(value, change) => (
                <input
                    autoFocus
                    className="input w-full!"
                    maxLength={160}
                    aria-label={t`Title of ${row.code}`}
                    value={value}
                    onChange={(event) => change(event.target.value)}
                />
            )}
        />
    );
}

/** Who owes it, changed where the name stands. */
export function LineOwner({ row, given: { production, people } }: Props) {
    return (
        <InPlace
            row={row}
            production={production}
            name="owner"
            label={t`owner`}
            text={row.owner ?? undefined}
            nothing={t`nobody`}
            value={row.ownerId === null ? '' : String(row.ownerId)}
            className="block max-w-full truncate text-left text-[12.5px] text-faint"
            field={(value, change) => (
                <select
                    autoFocus
                    className="select w-full!"
                    aria-label={t`Owner of ${row.code}`}
                    value={value}
                    onChange={(event) => change(event.target.value)}
                >
                    <option value="">{t`nobody`}</option>
                    {people.map(({ id, name, role }) => (
                        <option key={id} value={id}>
                            {name}, {role}
                        </option>
                    ))}
                </select>
            )}
        />
    );
}

/** Until when, changed where it stands. */
export function LineDue({ row, given: { production } }: Props) {
    return (
        <InPlace
            row={row}
            production={production}
            name="due"
            label={t`due`}
            text={row.due?.words}
            nothing={t`no time`}
            value={row.dueAt === null ? '' : typedTime(row.dueAt)}
            className={row.due?.late === true ? 'text-left text-red' : 'text-left text-faint'}
            field={(value, change) => (
                <input
                    autoFocus
                    type="datetime-local"
                    className="input w-52!"
                    aria-label={t`Due time of ${row.code}`}
                    value={value}
                    onChange={(event) => change(event.target.value)}
                />
            )}
        />
    );
}

/** Which specification it follows, changed where its title stands. */
export function LineSpecification({ row, given: { production, specifications } }: Props) {
    return (
        <InPlace
            row={row}
            production={production}
            name="specification"
            label={t`specification`}
            text={row.specification}
            nothing=""
            value={String(row.specificationId)}
            field={(value, change) => (
                <select
                    autoFocus
                    className="select w-full!"
                    aria-label={t`Specification of ${row.code}`}
                    value={value}
                    onChange={(event) => change(event.target.value)}
                >
                    {specifications.map(({ id, title }) => (
                        <option key={id} value={id}>
                            {title}
                        </option>
                    ))}
                </select>
            )}
        />
    );
}
