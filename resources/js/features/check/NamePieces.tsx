import { t } from '@lingui/core/macro';
import { classes } from '../../lib/classes';
import type { NameReading } from '../../types/views';

const WRONG = 'border-red bg-[color-mix(in_oklab,var(--color-error)_10%,transparent)] text-red';

/** Asked and found name above each other, piece by piece. */
export function NamePieces({ reading }: { reading: NameReading }) {
    return (
        <figure className="overflow-x-auto py-1" tabIndex={0} aria-label={t`Pieces of ${reading.name}`}>
            <table
                className="mono border-collapse max-md:[&_tr]:flex max-md:[&_tr]:flex-wrap max-md:[&_tr]:pb-1"
                aria-label={t`How ${reading.name} reads`}
            >
                <tbody>
                    {(['asked', 'found'] as const).map((row) => (
                        <tr key={row}>
                            <th scope="row" className="aside pr-3 text-left text-[13px]! font-normal">
                                {row === 'asked' ? t`asked` : t`found`}
                            </th>
                            {reading.pieces.map((piece, at) => (
                                <td
                                    key={at}
                                    title={piece.piece}
                                    className={classes(
                                        'border-y px-1.5 py-0.5 whitespace-pre',
                                        piece.differs.length === 0 && 'border-rule',
                                        piece.differs.length > 0 && row === 'found' && WRONG,
                                        piece.differs.length > 0 && row !== 'found' && 'border-edge',
                                    )}
                                >
                                    {piece[row] === '' ? (
                                        <span className="text-faint">{row === 'found' ? t`(none)` : ' '}</span>
                                    ) : (
                                        piece[row].replaceAll(' ', '␣')
                                    )}
                                </td>
                            ))}
                        </tr>
                    ))}
                    <tr aria-hidden="true" className="max-md:hidden!">
                        <td />
                        {reading.pieces.map((piece, at) => (
                            <td key={at} className="px-1.5 text-center font-sans text-[11px] text-faint">
                                {piece.piece === 'separator' || piece.piece === 'extra' ? '' : piece.piece}
                            </td>
                        ))}
                    </tr>
                </tbody>
            </table>
        </figure>
    );
}
