import { route, type RouteList } from 'ziggy-js';
import { routes } from '../types/routes';

type Names = keyof RouteList;

type Values<Name extends Names> = Record<RouteList[Name][number]['name'], string | number>;

type Query = Record<string, string | number>;

/** The path of a route by its name, with all that its address needs, and what is asked behind it. */
export function to<Name extends Names>(
    name: Name,
    ...given: RouteList[Name] extends readonly [] ? [] : [values: Values<Name>, query?: Query]
): string {
    const [values, query] = given as [Values<Name>?, Query?];

    return (route as (name: Names, values: object, absolute: boolean, config: typeof routes) => string)(
        name,
        { ...values, ...(query === undefined ? {} : { _query: query }) },
        false,
        routes,
    );
}
