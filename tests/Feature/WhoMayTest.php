<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Changes\ChangedLayer;
use App\Actions\Changes\ChangeRequirement;
use App\Http\Middleware\AskScope;
use App\Models\Check;
use App\Models\FileMove;
use App\Models\HandIn;
use App\Models\Message;
use App\Models\PracticeExercise;
use App\Models\SavedView;
use App\Models\Submission;
use App\Models\Waiver;
use App\Models\Webhook;
use Illuminate\Support\Facades\Route;
use PHPUnit\Framework\Attributes\DataProvider;
use PlainLedger\Core\Submission\RecordKey;
use PlainLedger\Core\Submission\SubmissionRecord;
use Tests\Feature\Factories\SheetLinkFactory;
use Tests\Feature\Support\LedgerTestCase;

/** Every route, with every kind of visitor. */
final class WhoMayTest extends LedgerTestCase
{
    /**
     * @return iterable<string, array{string, string, array<string, int>, 3?: array<string, mixed>}> method, path, and
     *   what each gets
     */
    public static function routes(): iterable
    {
        $all = ['guest' => 302, 'stranger' => 403, 'other' => 403, 'artist' => 200, 'coordinator' => 200];
        yield 'productions' => ['get', '/', ['guest' => 302, 'stranger' => 200, 'artist' => 302, 'coordinator' => 302]];
        yield 'a production' => [
            'get',
            '/productions/P',
            ['guest' => 302, 'stranger' => 403, 'artist' => 200, 'coordinator' => 200],
        ];
        yield 'a new deliverable' => [
            'get',
            '/productions/P/deliverables/new',
            ['guest' => 302, 'stranger' => 403, 'artist' => 403, 'coordinator' => 200],
        ];
        yield 'adding one' => [
            'post',
            '/productions/P/deliverables',
            ['guest' => 302, 'stranger' => 403, 'artist' => 403, 'coordinator' => 302],
            ['code' => 'TC_030'],
        ];
        yield 'specification' => ['get', '/deliverables/D/specification', $all];
        yield 'scene' => ['get', '/deliverables/D/scene', $all];
        yield 'frames' => ['get', '/deliverables/D/frames', $all];
        yield 'its movies' => ['get', '/deliverables/D/movie', $all];
        yield 'how a movie is made' => [
            'get', '/deliverables/D/recipe.txt', ['artist' => 404, 'coordinator' => 404] + $all,
        ];
        yield 'changing what is asked' => [
            'patch',
            '/deliverables/D/requirements',
            ['guest' => 302, 'stranger' => 403, 'other' => 403, 'artist' => 403, 'coordinator' => 302],
            ['id' => 'time.rate', 'value' => '25', 'level' => 'must', 'scope' => 'deliverable'],
        ];
        yield 'understanding a value' => [
            'post',
            '/deliverables/D/understand',
            ['guest' => 302, 'stranger' => 403, 'artist' => 403, 'coordinator' => 200],
            ['id' => 'time.rate', 'value' => '25'],
        ];
        $decides = static fn (int $yes): array => [
            'guest' => 302,
            'stranger' => 403,
            'other' => 403,
            'artist' => 403,
            'coordinator' => $yes,
        ];
        yield 'the calculator' => [
            'get',
            '/calculator',
            ['guest' => 302, 'stranger' => 200, 'artist' => 200, 'coordinator' => 200],
        ];
        yield 'calculating' => [
            'post',
            '/calculate',
            ['guest' => 302, 'stranger' => 200, 'artist' => 200, 'coordinator' => 200],
            ['word' => 'scales', 'given' => []],
        ];
        $nobody = ['guest' => 302, 'stranger' => 403, 'artist' => 403, 'coordinator' => 403];
        yield 'beginning a production' => ['get', '/productions/new', $nobody];
        yield 'making a production' => ['post', '/productions', $nobody, ['name' => 'X', 'code' => 'X']];
        yield 'the administration' => ['get', '/administration', $nobody];
        yield 'an account' => ['patch', '/people/1', $nobody, ['disabled' => true]];
        yield 'one-time codes of another' => ['delete', '/people/1/codes', $nobody];
        yield 'a password of another' => ['post', '/people/1/password', $nobody];
        yield 'work once more' => ['post', '/work/00000000-0000-0000-0000-000000000000', $nobody];
        yield 'dropping work' => ['delete', '/work/00000000-0000-0000-0000-000000000000', $nobody];
        yield 'its people' => ['get', '/productions/P/people', $decides(200)];
        yield 'inviting somebody' => ['post', '/productions/P/people', $decides(302), ['role' => 'artist']];
        yield 'giving a role' => ['patch', '/productions/P/people/E', $decides(302), ['role' => 'artist']];
        yield 'taking somebody off' => ['delete', '/productions/P/people/E', $decides(302)];
        yield 'taking a link back' => ['delete', '/productions/P/invitations/I', $decides(302)];
        yield 'its settings' => ['get', '/productions/P/settings', $decides(200)];
        yield 'changing its settings' => ['patch', '/productions/P/settings', $decides(302), ['name' => 'X']];
        yield 'how long checks are kept' => ['patch', '/productions/P/retention', $decides(302)];
        yield 'adding a folder' => ['post', '/productions/P/roots', $decides(302), ['label' => 'X', 'path' => 'x/y']];
        yield 'changing a folder' => ['patch', '/productions/P/roots/R', $decides(302), ['label' => 'X']];
        yield 'removing a folder' => ['delete', '/productions/P/roots/R', $decides(302)];
        yield 'what it is called' => ['get', '/deliverables/D/about', $decides(200)];
        yield 'calling it otherwise' => ['patch', '/deliverables/D/about', $decides(302), ['code' => 'TC_010']];
        yield 'another like it' => ['post', '/deliverables/D/copy', $decides(302), ['code' => 'TC_011']];
        yield 'putting it away' => ['post', '/deliverables/D/away', $decides(302)];
        yield 'putting it back' => ['delete', '/deliverables/D/away', $decides(302)];
        yield 'deleting it' => ['delete', '/deliverables/D', $decides(302)];
        yield 'a delivered tree' => ['get', '/productions/P/tree', $decides(200)];
        yield 'looking through one' => ['post', '/productions/P/tree', $decides(302), ['root' => 0]];
        yield 'saying whose something of it is' => ['patch', '/productions/P/tree', $decides(302), ['place' => '']];
        yield 'stopping that' => ['delete', '/productions/P/tree', $decides(404)];
        yield 'checking all of it' => ['post', '/productions/P/tree/checks', $decides(404)];
        yield 'house requirements' => ['get', '/productions/P/house', $decides(200)];
        yield 'changing house requirements' => [
            'patch',
            '/productions/P/house',
            $decides(302),
            ['id' => 'time.rate', 'value' => '25', 'level' => 'must'],
        ];
        yield 'understanding a house value' => [
            'post',
            '/productions/P/understand',
            $decides(200),
            ['id' => 'time.rate', 'value' => '25'],
        ];
        yield 'a list' => ['get', '/productions/P/list', $decides(200)];
        yield 'reading a list' => [
            'post',
            '/productions/P/list/read',
            $decides(200),
            ['specification' => 'S', 'text' => "shot,range\nTC_090,1-2\n"],
        ];
        yield 'writing a list' => [
            'post',
            '/productions/P/list',
            $decides(302),
            ['specification' => 'S', 'text' => "shot,range\nTC_090,1-2\n", 'seal' => 'x'],
        ];
        yield 'the deliverables as a list' => ['get', '/productions/P/deliverables.csv', $decides(200)];
        yield 'many together' => ['get', '/productions/P/together', $decides(200)];
        yield 'looking at many together' => [
            'post',
            '/productions/P/together/read',
            $decides(200),
            ['deliverables' => ['D'], 'id' => 'time.rate', 'value' => '25', 'level' => 'must'],
        ];
        yield 'changing many together' => [
            'post',
            '/productions/P/together',
            $decides(302),
            ['deliverables' => ['D'], 'id' => 'time.rate', 'value' => '25', 'level' => 'must'],
        ];
        yield 'proofreading a production' => ['get', '/productions/P/proof', $decides(200)];
        yield 'browsing for a reference' => ['get', '/productions/P/reference?root=R', $decides(200)];
        yield 'making a specification from files' => [
            'post',
            '/productions/P/reference',
            $decides(200),
            ['root' => 'R', 'below' => 'TC_010/v1'],
        ];
        yield 'keeping a preset' => [
            'post',
            '/productions/P/presets',
            $decides(302),
            ['title' => 'Ours', 'specification' => 'S'],
        ];
        yield 'renaming a preset' => ['patch', '/presets/Q', $decides(302), ['title' => 'Theirs']];
        yield 'a preset taken away' => ['delete', '/presets/Q', $decides(302)];
        yield 'revisions' => ['get', '/specifications/S', $decides(200)];
        yield 'renaming a specification' => ['patch', '/specifications/S', $decides(302), ['title' => 'Lit']];
        yield 'its parts' => [
            'post',
            '/specifications/S/parts',
            $decides(302),
            ['does' => 'add', 'name' => 'preview', 'delivers' => 'movie'],
        ];
        yield 'checking again' => ['post', '/specifications/S/recheck', $decides(302)];
        yield 'checking a whole production again' => ['post', '/productions/P/recheck', $decides(302)];
        yield 'checking one again' => [
            'post',
            '/checks/C/again',
            ['guest' => 302, 'stranger' => 403, 'other' => 403, 'artist' => 302, 'coordinator' => 302],
        ];
        yield 'an approved picture' => ['post', '/deliverables/D/approved', $decides(302)];
        yield 'a value of names' => [
            'patch',
            '/deliverables/D/values',
            $decides(302),
            ['name' => 'version', 'value' => '3'],
        ];
        yield 'being there' => [
            'post',
            '/deliverables/D/presence',
            ['guest' => 302, 'stranger' => 403, 'other' => 403, 'artist' => 200, 'coordinator' => 200],
        ];
        yield 'handing out' => ['get', '/deliverables/D/hand-out', $all];
        yield 'the sheet' => ['get', '/deliverables/D/sheet.html', $all];
        yield 'sharing the sheet' => ['post', '/deliverables/D/sheets', $decides(302), ['days' => 7]];
        yield 'a sheet by its link' => ['get', '/sheets/L', ['stranger' => 403, 'artist' => 403, 'coordinator' => 403]];
        yield 'a link taken back' => ['delete', '/sheets/L', $decides(302)];
        yield 'a change taken back' => ['post', '/changes/X/undo', $decides(302)];
        yield 'browsing the intake' => ['get', '/deliverables/D/intake?root=R', $all];
        yield 'dropping a scene' => [
            'post',
            '/deliverables/D/scene',
            ['guest' => 302, 'stranger' => 403, 'other' => 403, 'artist' => 302, 'coordinator' => 302],
        ];
        $work = static fn (int $yes): array => [
            'guest' => 302,
            'stranger' => 403,
            'other' => 403,
            'artist' => $yes,
            'coordinator' => $yes,
        ];
        yield 'a piece of a large scene' => ['post', '/deliverables/D/scene/pieces', $work(302)];
        yield 'the entry sheet' => ['get', '/deliverables/D/scene/enter', $all];
        yield 'typing a scene' => ['post', '/deliverables/D/scene/try', $all, ['typed' => ['time.rate' => '24']]];
        yield 'keeping what was typed' => [
            'post',
            '/deliverables/D/scene/typed',
            $work(302),
            ['typed' => ['time.rate' => '24']],
        ];
        yield 'which part a scene makes' => ['put', '/deliverables/D/scene/part', $work(302), ['part' => 'frames']];
        yield 'pointing at a name' => [
            'post',
            '/deliverables/D/scene/names',
            $work(302),
            ['name' => 'Bildrate', 'is' => 'time.rate'],
        ];
        yield 'an empty sheet of settings' => ['get', '/deliverables/D/settings.json', $all];
        yield 'ticking work off' => [
            'post',
            '/deliverables/D/ticks',
            $work(302),
            ['fix' => str_repeat('a', 64), 'done' => true],
        ];
        yield 'the render' => ['get', '/deliverables/D/render', $all];
        yield 'times of a render' => ['patch', '/deliverables/D/render', $work(302), ['times' => '60 s']];
        yield 'logs in a folder' => ['get', '/deliverables/D/logs?root=R', $all];
        yield 'sending a log' => ['post', '/deliverables/D/logs', $work(302)];
        yield 'following a log' => [
            'post',
            '/deliverables/D/logs/follow',
            $work(302),
            ['root' => 'R', 'below' => 'TC_010/v1', 'file' => 'r.log'],
        ];
        yield 'a log' => ['get', '/logs/G', $all];
        yield 'a log forgotten' => [
            'delete',
            '/logs/G',
            ['guest' => 302, 'stranger' => 403, 'other' => 403, 'artist' => 302],
        ];
        yield 'accepting a line' => [
            'post',
            '/checks/C/waivers',
            $decides(302),
            ['id' => 'time.range', 'part' => 'frames', 'reason' => 'agreed'],
        ];
        yield 'accepting no more' => ['delete', '/waivers/W', $decides(302)];
        yield 'where the board was' => ['get', '/productions/P/board', $decides(301)];
        yield 'a deliverable itself' => ['get', '/deliverables/D', ['artist' => 302, 'coordinator' => 302] + $all];
        yield 'its specifications' => ['get', '/productions/P/specifications', $decides(200)];
        yield 'another specification like it' => ['post', '/specifications/S/copy', $decides(302)];
        yield 'retiring it' => ['put', '/specifications/S/retired', $decides(302), ['retired' => true]];
        yield 'deleting a specification' => ['delete', '/specifications/S', $decides(302)];
        yield 'keeping a view' => ['post', '/productions/P/views', $decides(302), ['name' => 'Mine']];
        yield 'somebody’s view' => ['delete', '/views/Y', $decides(302)];
        yield 'changing many' => ['patch', '/productions/P/deliverables', $decides(302), ['ids' => [1]]];
        yield 'its history' => ['get', '/productions/P/history', $decides(200)];
        yield 'its history as a file' => ['get', '/productions/P/history.csv', $decides(200)];
        yield 'archiving it' => ['post', '/productions/P/archive', $decides(302)];
        yield 'taking it back' => ['delete', '/productions/P/archive', $decides(302)];
        yield 'deleting a production' => ['delete', '/productions/P', $nobody];
        yield 'bringing one back' => ['put', '/productions/P', $nobody];
        yield 'how much it may take' => ['patch', '/productions/P/limits', $nobody];
        yield 'a sample' => ['post', '/productions/sample', $nobody];
        yield 'a sample no more' => ['delete', '/productions/P/sample', $nobody];
        yield 'what was changed in the installation' => ['get', '/administration/history', $nobody];
        yield 'all its movies' => ['get', '/productions/P/movies', $decides(200)];
        yield 'results' => ['get', '/productions/P/results.csv', $decides(200)];
        yield 'the outbox' => ['get', '/productions/P/outbox', $decides(200)];
        yield 'writing to owners' => ['post', '/productions/P/outbox', $decides(302)];
        yield 'emptying the outbox' => ['delete', '/productions/P/outbox', $decides(302)];
        yield 'the outbox as a file' => ['get', '/productions/P/outbox.mbox', $decides(200)];
        yield 'a message thrown away' => ['delete', '/messages/M', $decides(302)];
        yield 'many scenes' => [
            'get',
            '/productions/P/scenes',
            ['guest' => 302, 'stranger' => 403, 'other' => 200, 'artist' => 200, 'coordinator' => 200],
        ];
        yield 'reading many scenes' => [
            'post',
            '/productions/P/scenes/read',
            ['guest' => 302, 'stranger' => 403, 'other' => 302, 'artist' => 302, 'coordinator' => 302],
        ];
        // another's deliverable is refused beside the field
        yield 'keeping many scenes' => [
            'post',
            '/productions/P/scenes',
            ['guest' => 302, 'stranger' => 403, 'other' => 302, 'artist' => 200, 'coordinator' => 200],
            ['scenes' => 'one'],
        ];
        yield 'the render plan' => ['get', '/productions/P/render', $decides(200)];
        yield 'another plan' => ['post', '/productions/P/plan', $decides(200), ['machines' => 2]];
        yield 'the pool' => ['patch', '/productions/P/pool', $decides(302), ['machines' => 2]];
        yield 'names' => ['get', '/productions/P/names', $decides(200)];
        yield 'a name' => ['patch', '/productions/P/names', $decides(302), ['name' => 'Bildrate', 'is' => 'time.rate']];
        yield 'names from a file' => ['post', '/productions/P/names', $decides(302)];
        yield 'names as a file' => ['get', '/productions/P/field-map.json', $decides(200)];
        yield 'a shape of logs' => [
            'post',
            '/productions/P/log-shapes',
            $decides(302),
            ['name' => 'ours', 'patterns' => [['event' => 'finished', 'pattern' => 'ok {frame}']]],
        ];
        yield 'trying a shape' => [
            'post',
            '/productions/P/log-shapes/try',
            $decides(200),
            ['patterns' => [], 'sample' => 'x'],
        ];
        $own = ['guest' => 302, 'stranger' => 302, 'artist' => 302];
        $read = ['guest' => 302, 'stranger' => 200, 'artist' => 200];
        yield 'the index' => ['get', '/productions/P/index', ['other' => 200] + $all];
        yield 'bringing anything' => ['get', '/productions/P/bring', ['other' => 200] + $all];
        yield 'what it is' => [
            'post',
            '/productions/P/bring',
            ['other' => 200] + $all,
            ['files' => [['name' => 'a.txt', 'size' => 0, 'head' => '', 'tail' => '']]],
        ];
        yield 'causes' => ['get', '/causes', $read];
        yield 'notices' => ['get', '/notices', $read];
        yield 'news' => ['get', '/news', $read];
        yield 'reading notices' => ['post', '/notices', $own];
        yield 'wishes' => ['patch', '/notices', $own];
        yield 'an address that is called' => ['post', '/productions/P/webhooks', $decides(302), ['url' => 'x']];
        yield 'trying it' => ['post', '/webhooks/H', $decides(302)];
        yield 'calling it no more' => ['delete', '/webhooks/H', $decides(302)];
        yield 'one-time codes' => ['put', '/codes', $own];
        yield 'beginning them' => ['post', '/codes', $own, ['code' => '123456']];
        yield 'ending them' => ['delete', '/codes', $own, ['password' => 'x']];
        yield 'the password' => [
            'patch', '/password', ['guest' => 302, 'stranger' => 302, 'artist' => 302], ['current' => 'x'],
        ];
        yield 'tokens' => ['get', '/tokens', ['guest' => 302, 'stranger' => 200, 'artist' => 200]];
        yield 'making a token' => [
            'post',
            '/tokens',
            ['guest' => 302, 'stranger' => 302, 'artist' => 302],
            ['name' => 'mine', 'days' => 7],
        ];
        yield 'somebody’s token taken away' => [
            'delete',
            '/tokens/T',
            ['guest' => 302, 'stranger' => 404, 'coordinator' => 404, 'artist' => 302],
        ];
        yield 'checking a folder' => [
            'post',
            '/deliverables/D/checks',
            ['guest' => 302, 'stranger' => 403, 'other' => 403, 'artist' => 302, 'coordinator' => 302],
            ['root' => 'R', 'below' => '', 'depth' => 'quick'],
        ];
        yield 'a past check' => ['get', '/checks/C', $all];
        yield 'its progress' => ['get', '/checks/C/progress', $all];
        yield 'its frames to be seen' => ['get', '/checks/C/look/frames', $all];
        yield 'two checks beside each other' => [
            'get', '/checks/C/against/0', ['artist' => 404, 'coordinator' => 404] + $all,
        ];
        yield 'a picture of one frame' => ['get', '/checks/C/pictures/frames/1001', $all];
        yield 'a tagged copy of a movie' => [
            'get', '/checks/C/tagged/reel', ['artist' => 404, 'coordinator' => 404] + $all,
        ];
        yield 'a movie of it' => ['get', '/checks/C/movies/reel', ['artist' => 404, 'coordinator' => 404] + $all];
        yield 'a picture of a movie' => [
            'get', '/checks/C/movies/reel/0', ['artist' => 404, 'coordinator' => 404] + $all,
        ];
        yield 'what a browser shows of a movie' => [
            'post', '/checks/C/shown/reel', ['artist' => 404, 'coordinator' => 404] + $all,
            ['pictures' => []],
        ];
        yield 'where a frame lies on a disk of its own' => [
            'get', '/checks/C/places/frames/1001', ['artist' => 404, 'coordinator' => 404] + $all,
        ];
        yield 'its report' => ['get', '/checks/C/report.json', $all];
        $theirs = ['guest' => 302, 'stranger' => 403, 'other' => 403, 'artist' => 200, 'coordinator' => 200];
        $works = ['artist' => 200, 'coordinator' => 200] + $theirs;
        $about = ['name' => 'a.zip', 'size' => 5, 'modified' => 5];
        yield 'how much of an archive has come' => [
            'get', '/deliverables/D/archive?'.http_build_query($about), $works,
        ];
        yield 'an archive' => [
            'post', '/deliverables/D/archive', ['artist' => 302, 'coordinator' => 302] + $theirs, $about,
        ];
        yield 'a folder of ones own' => ['post', '/deliverables/D/picked', $works, ['folder' => 'v1', 'now' => 5]];
        yield 'following a folder' => [
            'post', '/deliverables/D/watch', ['artist' => 302, 'coordinator' => 302] + $theirs, ['root' => 0],
        ];
        yield 'following it no more' => [
            'delete', '/deliverables/D/watch', ['artist' => 302, 'coordinator' => 302] + $theirs,
        ];
        yield 'what it would rename' => ['get', '/checks/C/moves', $theirs];
        yield 'a script of that' => ['get', '/checks/C/moves.csv', $theirs];
        yield 'renaming' => ['post', '/checks/C/moves', ['artist' => 302, 'coordinator' => 302] + $theirs];
        yield 'undoing that' => ['delete', '/moves/V', ['artist' => 302, 'coordinator' => 302] + $theirs];
        yield 'what is set to practise on' => [
            'get', '/productions/P/practice',
            ['guest' => 302, 'stranger' => 403, 'artist' => 200, 'coordinator' => 200],
        ];
        yield 'setting an exercise' => ['post', '/productions/P/practice', $decides(302), ['number' => 1]];
        yield 'removing an exercise' => ['delete', '/practice/A', $decides(302)];
        $ours = ['guest' => 302, 'stranger' => 403];
        yield 'an exercise' => ['get', '/practice/A', $ours + ['artist' => 200, 'coordinator' => 200]];
        yield 'beginning it' => ['post', '/practice/A', $ours + ['artist' => 302, 'coordinator' => 302]];
        yield 'answering it' => ['post', '/practice/A/answer', $ours + ['artist' => 404], ['balances' => true]];
        yield 'writing for it' => ['post', '/practice/A/specification', $ours + ['artist' => 404], ['lines' => []]];
        yield 'its files' => ['get', '/practice/A/files.zip', $ours + ['artist' => 404]];
        // this production is no course, and there are no assignments outside of courses
        yield 'an assignment' => ['get', '/specifications/S/assignment', $decides(404)];
        yield 'how it is judged' => [
            'patch', '/specifications/S/assignment', $decides(302), ['rules' => ['counts' => 'best']],
        ];
        yield 'giving it to everybody' => ['post', '/specifications/S/everybody', $decides(302)];
        yield 'telling points' => ['post', '/specifications/S/release', $decides(302)];
        yield 'telling them no more' => ['delete', '/specifications/S/release', $decides(302)];
        yield 'more time for many' => ['post', '/specifications/S/extensions', $decides(302), ['ids' => ['D']]];
        yield 'returning many' => ['post', '/specifications/S/returns', $decides(302), ['why' => 'x', 'ids' => [0]]];
        yield 'everybodys feedback' => ['get', '/specifications/S/feedback.zip', $decides(200)];
        yield 'what a learner is asked' => [
            'get', '/deliverables/D/hand-in', ['artist' => 404, 'coordinator' => 404] + $all,
        ];
        yield 'handing in' => ['post', '/deliverables/D/hand-in', ['artist' => 404, 'coordinator' => 404] + $theirs];
        yield 'more time for one' => ['put', '/deliverables/D/extension', $decides(302)];
        yield 'who answers for it too' => ['put', '/deliverables/D/team', $decides(302), ['members' => []]];
        // points are not told yet
        yield 'feedback' => ['get', '/hand-ins/N', $decides(200)];
        yield 'feedback on paper' => ['get', '/hand-ins/N/feedback.html', $decides(200)];
        yield 'marking' => ['put', '/hand-ins/N/mark', $decides(302), ['remark' => 'x']];
        yield 'agreeing' => ['put', '/hand-ins/N/agreed', $decides(302), ['points' => '5']];
        yield 'returning it' => ['post', '/hand-ins/N/return', $decides(302), ['why' => 'x']];
        yield 'the gradebook' => ['get', '/productions/P/gradebook', $decides(404)];
        yield 'what a gradebook is' => ['post', '/productions/P/gradebook/read', $decides(302)];
        yield 'filling a gradebook' => ['post', '/productions/P/gradebook', $decides(302)];
        yield 'own words for causes' => ['patch', '/productions/P/phrases', $decides(302), ['phrases' => []]];
        yield 'a roster' => ['post', '/productions/P/roster', $decides(302)];
        yield 'all that is kept of somebody' => ['get', '/productions/P/people/E/data.zip', $decides(200)];
        yield 'deleting all of that' => ['delete', '/productions/P/people/E/data', $decides(302), ['name' => 'Other']];
        yield 'its submission' => ['get', '/deliverables/D/submission', $all];
        yield 'signing it off' => ['post', '/deliverables/D/submission', $decides(302), ['check' => 0]];
        yield 'how far its sums are' => ['get', '/submissions/Z/seal', $theirs];
        yield 'looking at its files again' => ['post', '/submissions/Z/seal', $decides(302)];
        yield 'looking at them no further' => ['delete', '/submissions/Z/seal', $decides(302)];
        yield 'marking many' => ['post', '/specifications/S/marks', $decides(302), ['ids' => [1], 'remark' => 'x']];
        yield 'writing to a class' => [
            'post', '/specifications/S/letters', $decides(302), ['ids' => [1], 'subject' => 'x', 'body' => 'y'],
        ];
        yield 'which sums are wanted of a browser' => ['get', '/submissions/Z/sums', $decides(404)];
        yield 'sums from a browser' => [
            'post', '/submissions/Z/sums', $decides(302), [
                'sums' => [], 'all' => false, 'now' => 1,
                'files' => 0, 'all_files' => 0, 'bytes' => 0, 'all_bytes' => 0,
            ],
        ];
        yield 'its record' => ['get', '/submissions/Z/record.html', $theirs];
        yield 'all of it as an archive' => [
            'get', '/submissions/Z/package.zip', ['artist' => 302, 'coordinator' => 302] + $theirs,
        ];
        yield 'a note of what is signed off' => ['get', '/productions/P/delivery-note.csv', $decides(200)];
        yield 'withdrawing it' => ['post', '/submissions/Z/withdraw', $decides(302), ['why' => 'x']];
        yield 'a link to its record' => ['post', '/submissions/Z/links', $decides(302), ['days' => 3]];
        yield 'a record by its link' => ['get', '/records/L', ['stranger' => 403, 'artist' => 403]];
        yield 'stopping it' => [
            'post',
            '/checks/C/stop',
            ['guest' => 302, 'stranger' => 403, 'other' => 403, 'artist' => 302, 'coordinator' => 302],
        ];
    }

    private function checked(): Check
    {
        $this->actingAs($this->artist)->post(
            "/deliverables/{$this->deliverable->id}/checks",
            ['root' => $this->root(), 'below' => 'TC_010/v1', 'depth' => 'quick'],
        );

        return Check::query()->firstOrFail();
    }

    private function handedIn(): HandIn
    {
        return $this->deliverable->handIns()->create([
            'number' => 1, 'handed_at' => now(), 'counted_at' => now(), 'verdict' => 'open', 'lines' => [],
            'causes' => [],
        ]);
    }

    private function submitted(): Submission
    {
        $record = SubmissionRecord::signed(['number' => 1], RecordKey::of(str_repeat('k', 32)));

        return Submission::query()->create([
            'deliverable_id' => $this->deliverable->id, 'number' => 1, 'state' => 'signed', 'note' => '',
            'answers' => [], 'algorithms' => ['sha256'], 'record' => gzencode($record->write()),
        ]);
    }

    /** @param  array<string, int>  $expected */
    #[DataProvider('routes')]
    public function test_each_route_lets_in_whom_it_should(
        string $method,
        string $path,
        array $expected,
        array $data = [],
    ): void {
        // of a check there is one only where it is asked for: a scan is another process
        $check = preg_match('~/C\b~', $path) === 1 ? $this->checked()->id : 0;
        $preset = $this->production->presets()->create(['title' => 'Mine', 'document' => []]);
        $link = SheetLinkFactory::to($this->deliverable)->create();
        $change = app(ChangeRequirement::class)->run(
            ChangedLayer::deliverable($this->deliverable),
            '',
            'render.samples',
            '"4"',
            $this->coordinator,
        );
        $waiver = Waiver::query()->create(
            [
                'production_id' => $this->production->id,
                'deliverable_id' => $this->deliverable->id,
                'entry' => 'time.range',
                'part' => 'frames',
                'required' => 'x',
                'accepted' => [],
                'reason' => 'agreed',
            ],
        );
        $message = Message::query()->create(
            ['production_id' => $this->production->id, 'to_id' => $this->artist->id, 'subject' => 's', 'body' => 'b'],
        );
        $moved = FileMove::query()->create([
            'deliverable_id' => $this->deliverable->id, 'intake_root_id' => $this->root(), 'folder' => 'TC_010/v1',
            'work' => 'x1', 'files' => 1,
        ]);
        $log = $this->deliverable->renderLogs()->create(['name' => 'r.log']);
        $token = $this->artist->createToken('mine')->accessToken->getKey();
        // pointing at a name needs a scene
        $this->deliverable->scenes()->create(['file_name' => 'a.txt', 'content' => "fps = 24\nBildrate = 24\n"]);
        $invitation = $this->production->invitations()->create([
            'kind' => 'member', 'token' => 'x', 'role' => 'artist', 'expires_at' => now()->addDay(),
        ]);
        $membership = $this->production->memberships()->where('user_id', $this->other->id)->firstOrFail();
        $view = SavedView::query()->create([
            'production_id' => $this->production->id, 'user_id' => $this->coordinator->id, 'name' => 'Late',
            'state' => ['which' => 'late', 'text' => '', 'specification' => null, 'by' => 'due', 'down' => false,
                'columns' => ['due']],
        ]);
        $hook = Webhook::query()->create([
            'production_id' => $this->production->id, 'url' => 'https://127.0.0.1/', 'secret' => 's', 'events' => [],
        ]);
        $path = strtr(
            $path,
            [
                '/people/E' => "/people/{$membership->id}",
                '/invitations/I' => "/invitations/{$invitation->id}",
                '/roots/R' => '/roots/'.$this->root(),
                '/W' => "/{$waiver->id}",
                '/V' => "/{$moved->id}",
                '/M' => "/{$message->id}",
                '/G' => "/{$log->id}",
                '/T' => "/{$token}",
                '/S' => "/{$this->deliverable->specification_id}",
                '/Q' => "/{$preset->id}",
                '/Y' => "/{$view->id}",
                '/H' => "/{$hook->id}",
                '/Z' => '/'.$this->submitted()->id,
                '/N' => '/'.$this->handedIn()->id,
                '/A' => '/'.PracticeExercise::query()->create([
                    'production_id' => $this->production->id, 'title' => 'One', 'mistakes' => [],
                ])->id,
                '/L' => "/{$link->id}",
                '/X' => "/{$change?->id}",
                '/P' => "/{$this->production->id}",
                '/D' => "/{$this->deliverable->id}",
                '/C' => "/{$check}",
                'root=R' => 'root='.$this->root(),
            ],
        );
        $data = array_map(fn (mixed $v): mixed => match ($v) {
            'one' => [['deliverable' => $this->deliverable->id, 'label' => 'a.txt', 'content' => 'fps = 24']],
            'R' => $this->root(),
            'S' => $this->deliverable->specification_id,
            ['D'] => [$this->deliverable->id],
            default => $v,
        }, $data);

        foreach ($expected as $who => $status) {
            auth()->logout();
            $this->flushSession();
            if ($who !== 'guest') {
                $this->actingAs($this->{$who});
            }
            $response = $this->call(strtoupper($method), $path, $data);
            self::assertSame($status, $response->getStatusCode(), "{$method} {$path} as {$who}");
            if ($who === 'guest') {
                $response->assertRedirect('/sign-in');
            }
        }
    }

    public function test_every_route_of_the_application_stands_in_this_test(): void
    {
        $known = array_map(
            static fn (array $r): string => strtoupper($r[0])
                .' '
                .strtr(
                    explode('?', $r[1])[0],
                    [
                        '/people/E' => '/people/{membership}',
                        '/invitations/I' => '/invitations/{invitation}',
                        '/roots/R' => '/roots/{intakeRoot}',
                        '/people/1' => '/people/{user}',
                        '/work/00000000-0000-0000-0000-000000000000' => '/work/{failed}',
                        '/logs/G' => '/logs/{log}',
                        '/waivers/W' => '/waivers/{waiver}',
                        '/messages/M' => '/messages/{message}',
                        '/tokens/T' => '/tokens/{token}',
                        'settings.json' => 'settings.{format}',
                        'outbox.mbox' => 'outbox.{format}',
                        '/specifications/S' => '/specifications/{specification}',
                        '/presets/Q' => '/presets/{preset}',
                        '/views/Y' => '/views/{view}',
                        '/webhooks/H' => '/webhooks/{webhook}',
                        'history.csv' => 'history.{format}',
                        '/sheets/L' => '/sheets/{link}',
                        '/changes/X/undo' => '/changes/{change}/{way}',
                        'deliverables.csv' => 'deliverables.{format}',
                        'sheet.html' => 'sheet.{format}',
                        '/productions/P' => '/productions/{production}',
                        '/deliverables/D' => '/deliverables/{deliverable}',
                        '/submissions/Z' => '/submissions/{submission}',
                        '/practice/A' => '/practice/{exercise}',
                        '/hand-ins/N' => '/hand-ins/{handIn}',
                        'feedback.html' => 'feedback.{format}',
                        'record.html' => 'record.{format}',
                        'delivery-note.csv' => 'delivery-note.{format}',
                        '/records/L' => '/records/{link}',
                        '/checks/C' => '/checks/{check}',
                        'report.json' => 'report.{format}',
                        'moves.csv' => 'moves.{format}',
                        '/moves/V' => '/moves/{move}',
                        'against/0' => 'against/{other}',
                        'look/frames' => 'look/{part}',
                        'movies/reel/0' => 'movies/{part}/{picture}',
                        'movies/reel' => 'movies/{part}',
                        'shown/reel' => 'shown/{part}',
                        'tagged/reel' => 'tagged/{part}',
                        'recipe.txt' => 'recipe.{format}',
                        'places/frames/1001' => 'places/{part}/{frame}',
                        'pictures/frames/1001' => 'pictures/{part}/{frame}',
                    ],
                ),
            iterator_to_array(self::routes()),
        );
        // by a token alone: looked at in a test of their own
        $api = array_map(
            static fn (string $r): string => str_replace('X', '/api/productions/{production}/deliverables/{code}', $r),
            ['POST X/scene', 'GET X/check', 'GET X/settings'],
        );
        $known = [
            ...array_values($known), ...$api, ...self::own(), 'GET /sign-in', 'POST /sign-in',
            'GET /sign-in/code', 'POST /sign-in/code', 'POST /sign-out',
            'GET /up', 'GET /deliverables/{deliverable}', 'GET /api', 'GET /api/openapi.json',
        ];
        $there = [];
        foreach (Route::getRoutes()->getRoutes() as $route) {
            // below it the same stand once more, for programs
            if (! str_starts_with($route->uri(), 'api/v1/')) {
                $there[] = $route->methods()[0].' /'.ltrim($route->uri(), '/');
            }
        }

        self::assertSame([], array_values(array_diff($there, $known)));
    }

    /** @return list<string> by a link, or by a word that was told: looked at in another test */
    private static function own(): array
    {
        return [
            'POST /sign-out/elsewhere', 'GET /find', 'GET /join/{word}', 'POST /join/{word}', 'PUT /join/{word}',
            'GET /own/{link}', 'POST /own/{link}', 'GET /picked/{picked}', 'DELETE /picked/{picked}',
            'POST /picked/{picked}/names', 'POST /picked/{picked}/slices',
        ];
    }

    public function test_an_artist_sees_only_what_is_theirs(): void
    {
        $this->actingAs($this->artist);
        self::assertSame(
            ['TC_010'],
            array_column($this->index(), 'code'),
        );
        $this->actingAs($this->coordinator);
        self::assertSame(
            ['TC_010', 'TC_020'],
            array_column($this->index(), 'code'),
        );
    }

    /** What somebody has of their own needs no leave; everything else names a policy beside its address. */
    public function test_every_route_says_who_may(): void
    {
        $own = [
            'sign-in', 'sign-in.store', 'sign-in.code', 'sign-in.code.store', 'codes.offer', 'codes.begin', 'codes.end',
            'sign-out', 'productions', 'calculator', 'calculate', 'tokens', 'tokens.store',
            'tokens.drop', 'password', 'sheet.open', 'record.open', 'health', 'api.check', 'api.newest', 'api.template',
            // by a link, or by a word that only whoever began it was told: looked at in a test of their own
            'sign-out.elsewhere', 'find', 'news', 'causes', 'notices', 'notices.read', 'notices.wish',
            'join', 'join.new', 'join.known',
            'api.page', 'api.document', 'all.productions',
            'own.open', 'own.begin', 'picked', 'picked.stop', 'picked.names', 'picked.slices',
        ];
        $open = [];
        foreach (Route::getRoutes()->getRoutes() as $route) {
            $leave = array_filter(
                $route->gatherMiddleware(),
                static fn (mixed $m): bool => is_string($m) && str_starts_with($m, 'can:'),
            );
            $name = (string) preg_replace('~^v1\.~', '', (string) $route->getName());
            if ($leave === [] && ! in_array($name, $own, true)) {
                $open[] = implode(' ', [...$route->methods(), $route->uri()]);
            }
        }

        self::assertSame([], $open);
    }

    public function test_each_route_for_programs_asks_for_a_token_and_its_scope(): void
    {
        foreach (Route::getRoutes()->getRoutes() as $route) {
            if (str_starts_with($route->uri(), 'api/v1/')) {
                $by = $route->gatherMiddleware();
                self::assertContains('auth:sanctum', $by, $route->uri());
                self::assertContains(AskScope::class, $by, $route->uri());
                $twin = Route::getRoutes()->getByName(substr((string) $route->getName(), 3));
                $rights = static fn (array $all): array => array_values(array_filter(
                    $all,
                    static fn (mixed $m): bool => is_string($m) && str_starts_with($m, 'can:'),
                ));
                $twin === null || self::assertSame($rights($twin->gatherMiddleware()), $rights($by), $route->uri());
            }
        }
    }
}
