<?php

declare(strict_types=1);

use App\Http\Controllers\Account;
use App\Http\Controllers\Board;
use App\Http\Controllers\Check;
use App\Http\Controllers\Course;
use App\Http\Controllers\People;
use App\Http\Controllers\Practice;
use App\Http\Controllers\Production;
use App\Http\Controllers\Render;
use App\Http\Controllers\Scene;
use App\Http\Controllers\Specification;
use App\Http\Controllers\Submission;
use App\Http\Controllers\Tree;
use Illuminate\Support\Facades\Route;

// What pages and programs do alike: pages by a session, programs by a token, below /api/v1.

Route::middleware(['auth', 'throttle:work'])->group(function (): void {
    Route::get('/notices', [Account\NoticeController::class, 'index'])->name('notices');
    Route::post('/notices', [Account\NoticeController::class, 'read'])->name('notices.read');
    Route::patch('/notices', [Account\NoticeController::class, 'wish'])->name('notices.wish');
    Route::get('/causes', Check\CausesController::class)->name('causes');
    Route::get('/calculator', [Account\CalculatorController::class, 'show'])->name('calculator');
});

Route::middleware(['auth', 'throttle:work', 'can:administer'])->group(function (): void {
    Route::get('/productions/new', [People\NewProductionController::class, 'create'])->name('production.new');
    Route::post('/productions', [People\NewProductionController::class, 'store'])->name('production.store');
    Route::get('/administration', [People\AdministrationController::class, 'show'])->name('administration');
    Route::get('/administration/history', [People\HistoryController::class, 'installation'])->name('acts');
    Route::post('/productions/sample', [People\SampleController::class, 'store'])
        ->middleware('throttle:costly')
        ->name('sample');
    Route::delete('/productions/{production}/sample', [People\SampleController::class, 'destroy'])
        ->name('sample.drop');
    Route::delete('/productions/{production}', [People\ArchiveController::class, 'delete'])->name('production.drop');
    Route::put('/productions/{production}', [People\ArchiveController::class, 'restore'])->name('production.restore');
    Route::patch('/productions/{production}/limits', [People\ArchiveController::class, 'limits'])->name('limits');
    Route::patch('/people/{user}', [People\AccountController::class, 'update'])->name('account.update');
    Route::delete('/people/{user}/codes', [People\AccountController::class, 'codes'])->name('account.codes');
    Route::post('/people/{user}/password', [People\AccountController::class, 'password'])->name('account.password');
    Route::post('/work/{failed}', [People\FailedWorkController::class, 'update'])->name('failed.again');
    Route::delete('/work/{failed}', [People\FailedWorkController::class, 'destroy'])->name('failed.drop');
});

Route::middleware(['auth', 'throttle:work'])->prefix('/productions/{production}')->group(function (): void {
    Route::middleware('can:decide,production')->scopeBindings()->group(function (): void {
        Route::get('/people', [People\PeopleController::class, 'show'])->name('people');
        Route::post('/people', [People\PeopleController::class, 'store'])->name('people.invite');
        Route::patch('/people/{membership}', [People\PeopleController::class, 'update'])->name('people.role');
        Route::delete('/people/{membership}', [People\PeopleController::class, 'destroy'])->name('people.drop');
        Route::post('/roster', People\RosterController::class)->middleware('throttle:costly')->name('roster');
        Route::get('/people/{membership}/data.zip', [People\LearnerDataController::class, 'show'])
            ->middleware('throttle:costly')
            ->name('people.data');
        Route::delete('/people/{membership}/data', [People\LearnerDataController::class, 'destroy'])
            ->name('people.forget');
        Route::delete('/invitations/{invitation}', [People\InvitationController::class, 'destroy'])
            ->name('invitation.drop');
        Route::get('/history', [People\HistoryController::class, 'show'])->name('history');
        Route::get('/history.{format}', [People\HistoryController::class, 'file'])
            ->whereIn('format', ['csv', 'json'])
            ->middleware('throttle:costly')
            ->name('history.export');
        Route::get('/settings', [People\SettingsController::class, 'show'])->name('settings');
        Route::patch('/settings', [People\SettingsController::class, 'update'])->name('settings.update');
        Route::post('/webhooks', [People\WebhookController::class, 'store'])->name('webhook.store');
        Route::patch('/retention', [People\SettingsController::class, 'retain'])->name('retention');
        Route::post('/roots', [People\SettingsController::class, 'addRoot'])->name('root.add');
        Route::patch('/roots/{intakeRoot}', [People\SettingsController::class, 'updateRoot'])->name('root.update');
        Route::delete('/roots/{intakeRoot}', [People\SettingsController::class, 'destroyRoot'])->name('root.drop');
    });
    Route::middleware('can:archive,production')->group(function (): void {
        Route::post('/archive', [People\ArchiveController::class, 'store'])->name('production.archive');
        Route::delete('/archive', [People\ArchiveController::class, 'destroy'])->name('production.back');
    });
    Route::middleware('can:view,production')->group(function (): void {
        Route::get('/', [Production\ProductionController::class, 'show'])->name('production');
        Route::get('/index', Production\IndexController::class)->name('index');
        Route::get('/bring', [Production\BringController::class, 'show'])->name('bring');
        Route::get('/practice', [Practice\PracticeController::class, 'show'])->name('practice');
        Route::post('/bring', [Production\BringController::class, 'look'])
            ->middleware('throttle:costly')
            ->name('bring.look');
        Route::get('/scenes', [Scene\ManyScenesController::class, 'create'])->name('scenes');
        Route::post('/scenes', [Scene\ManyScenesController::class, 'store'])->name('scenes.store');
        Route::post('/scenes/read', Scene\FoundScenesController::class)
            ->middleware('throttle:costly')
            ->name('scenes.read');
    });
    Route::middleware('can:decide,production')->group(function (): void {
        Route::get('/deliverables/new', [Production\DeliverableController::class, 'create'])->name('deliverable.new');
        Route::post('/deliverables', [Production\DeliverableController::class, 'store'])->name('deliverable.store');
        Route::patch('/deliverables', Production\ManyDeliverablesController::class)->name('deliverables.change');
        Route::get('/house', [Production\HouseController::class, 'show'])->name('house');
        Route::patch('/house', [Production\HouseController::class, 'update'])->name('house.update');
        Route::get('/list', [Production\ListController::class, 'create'])->name('list');
        Route::post('/list', [Production\ListController::class, 'store'])->name('list.store');
        Route::post('/list/read', Production\ListPreviewController::class)->name('list.read');
        Route::get('/together', [Production\SharedChangeController::class, 'create'])->name('together');
        Route::post('/together', [Production\SharedChangeController::class, 'store'])->name('together.store');
        Route::get('/reference', [Production\ReferenceController::class, 'show'])->name('reference');
        Route::post('/presets', [Production\PresetController::class, 'store'])->name('preset.store');
        Route::post('/practice', [Practice\PracticeController::class, 'store'])
            ->middleware('throttle:costly')
            ->name('practice.set');
        Route::get('/gradebook', [Course\GradebookController::class, 'show'])->name('gradebook');
        Route::patch('/phrases', [Course\GradebookController::class, 'phrases'])->name('phrases');
        Route::post('/gradebook/read', [Course\GradebookController::class, 'read'])
            ->middleware('throttle:costly')
            ->name('gradebook.read');
        Route::post('/gradebook', [Course\GradebookController::class, 'fill'])
            ->middleware('throttle:costly')
            ->name('gradebook.fill');
        // where it stood once
        Route::get('/board', [Production\ProductionController::class, 'board'])->name('board');
        Route::get('/specifications', [Production\ProductionController::class, 'specifications'])
            ->name('specifications');
        Route::post('/views', [Production\SavedViewController::class, 'store'])->name('view.keep');
        Route::get('/movies', [Board\MoviesController::class, 'show'])->name('movies');
        Route::get('/outbox', [Board\OutboxController::class, 'show'])->name('outbox');
        Route::post('/outbox', [Board\OutboxController::class, 'store'])->name('outbox.write');
        Route::delete('/outbox', [Board\OutboxController::class, 'destroy'])->name('outbox.clear');
        Route::patch('/pool', [Render\PoolController::class, 'update'])->name('pool');
        Route::get('/tree', [Tree\TreeController::class, 'show'])->name('tree');
        Route::patch('/tree', [Tree\TreeController::class, 'update'])->name('tree.assign');
        Route::delete('/tree', [Tree\TreeController::class, 'destroy'])->name('tree.stop');
        Route::get('/names', [Production\NamesController::class, 'show'])->name('names');
        Route::patch('/names', [Production\NamesController::class, 'update'])->name('names.update');
        Route::post('/names', [Production\FieldMapController::class, 'store'])->name('names.import');
        Route::get('/field-map.json', [Production\FieldMapController::class, 'show'])->name('names.export');
        Route::post('/recheck', [Check\RepeatChecksController::class, 'production'])->name('production.recheck');
    });
    Route::middleware(['can:decide,production', 'throttle:costly'])->group(function (): void {
        Route::get('/deliverables.{format}', Production\ListFileController::class)->name('list.export');
        Route::get('/delivery-note.{format}', Submission\DeliveryNoteController::class)
            ->whereIn('format', ['html', 'pdf', 'csv'])
            ->name('note');
        Route::post('/together/read', Production\SharedChangePreviewController::class)->name('together.read');
        Route::post('/tree', [Tree\TreeController::class, 'store'])->name('tree.begin');
        Route::post('/tree/checks', Tree\TreeChecksController::class)->name('tree.checks');
        Route::get('/proof', Production\ProofController::class)->name('proof');
        Route::post('/reference', [Production\ReferenceController::class, 'store'])->name('reference.propose');
        Route::get('/results.csv', Board\ResultsController::class)->name('grades');
        Route::get('/outbox.{format}', Board\OutboxFileController::class)->name('outbox.export');
        Route::get('/render', [Render\RenderPlanController::class, 'show'])->name('plan');
        Route::post('/log-shapes', [Production\LogShapeController::class, 'store'])->name('shape');
    });
});

Route::middleware(['auth', 'throttle:work', 'can:decide,preset'])->prefix('/presets/{preset}')->group(
    function (): void {
        Route::patch('/', [Production\PresetController::class, 'update'])->name('preset.rename');
        Route::delete('/', [Production\PresetController::class, 'destroy'])->name('preset.destroy');
    },
);

Route::middleware(['auth', 'throttle:work', 'can:decide,specification'])->prefix('/specifications/{specification}')
    ->group(function (): void {
        Route::get('/', [Production\SpecificationController::class, 'show'])->name('revisions');
        Route::patch('/', [Production\SpecificationController::class, 'update'])->name('specification.rename');
        Route::delete('/', [Production\SpecificationController::class, 'destroy'])->name('specification.drop');
        Route::post('/copy', [Production\SpecificationController::class, 'copy'])->name('specification.copy');
        Route::get('/assignment', [Course\AssignmentController::class, 'show'])->name('assignment');
        Route::patch('/assignment', [Course\AssignmentController::class, 'update'])->name('assignment.save');
        Route::post('/everybody', [Course\AssignmentController::class, 'everybody'])->name('assignment.everybody');
        Route::post('/release', [Course\AssignmentController::class, 'release'])->name('assignment.release');
        Route::delete('/release', [Course\AssignmentController::class, 'takeBack'])->name('assignment.hide');
        Route::post('/extensions', [Course\AssignmentController::class, 'extend'])->name('assignment.extend');
        Route::post('/returns', [Course\AssignmentController::class, 'return'])->name('assignment.return');
        Route::post('/marks', [Course\AssignmentController::class, 'mark'])->name('assignment.mark');
        Route::post('/letters', [Course\AssignmentController::class, 'write'])
            ->middleware('throttle:costly')
            ->name('assignment.write');
        Route::get('/feedback.zip', [Course\FeedbackController::class, 'all'])
            ->middleware('throttle:costly')
            ->name('feedback.all');
        Route::put('/retired', [Production\SpecificationController::class, 'retire'])->name('specification.retire');
        Route::post('/parts', [Production\SpecificationPartController::class, 'store'])->name('specification.parts');
        Route::post('/recheck', [Check\RepeatChecksController::class, 'specification'])->name('specification.recheck');
    });

Route::middleware(['auth', 'throttle:work'])->prefix('/deliverables/{deliverable}')->group(function (): void {
    Route::middleware('can:view,deliverable')->group(function (): void {
        Route::get('/', [Check\FramesController::class, 'lead'])->name('deliverable');
        Route::get('/specification', [Specification\AskedController::class, 'show'])->name('specification');
        Route::get('/scene', [Scene\SceneController::class, 'show'])->name('scene');
        Route::get('/frames', [Check\FramesController::class, 'show'])->name('frames');
        Route::get('/movie', [Check\MovieController::class, 'show'])->name('movie');
        Route::get('/recipe.{format}', [Check\RecipeController::class, 'show'])
            ->whereIn('format', ['txt', 'json', 'otio', 'sh'])
            ->middleware('throttle:costly')
            ->name('recipe');
        Route::get('/render', [Render\RenderController::class, 'show'])->name('render');
        Route::get('/submission', [Submission\SubmissionController::class, 'show'])->name('submission');
        Route::get('/hand-in', [Course\HandInController::class, 'show'])->name('hand-in');
        Route::get('/hand-out', [Specification\HandOutController::class, 'show'])->name('hand-out');
        Route::post('/presence', [Specification\PresenceController::class, 'store'])->name('presence');
        Route::get('/sheet.{format}', [Specification\SheetController::class, 'show'])
            ->middleware('throttle:costly')
            ->name('sheet');
        Route::get('/settings.{format}', Scene\SettingsTemplateController::class)
            ->whereIn('format', ['json', 'txt'])
            ->name('scene.template');
    });
    Route::middleware('can:specify,deliverable')->group(function (): void {
        Route::get('/about', [Production\AboutController::class, 'show'])->name('about');
        Route::patch('/about', [Production\AboutController::class, 'update'])->name('about.update');
        Route::post('/copy', [Production\AboutController::class, 'copy'])->name('about.copy');
        Route::post('/away', [Production\PutAwayController::class, 'store'])->name('away');
        Route::delete('/away', [Production\PutAwayController::class, 'destroy'])->name('away.back');
        Route::delete('/', [Production\PutAwayController::class, 'forget'])->name('away.forget');
        Route::patch('/requirements', [Specification\AskedController::class, 'update'])->name('requirements');
        Route::post('/approved', [Specification\ApprovedPictureController::class, 'store'])->name('approved');
        Route::patch('/values', [Specification\NameValueController::class, 'update'])->name('values');
        Route::post('/sheets', [Specification\SheetLinkController::class, 'store'])->name('sheet.share');
        Route::put('/extension', [Course\HandInController::class, 'extend'])->name('extension');
        Route::put('/team', [Course\HandInController::class, 'team'])->name('team');
        Route::post('/submission', [Submission\SubmissionController::class, 'store'])
            ->middleware('throttle:costly')
            ->name('submission.sign');
    });
    Route::middleware('can:check,deliverable')->group(function (): void {
        Route::post('/hand-in', [Course\HandInController::class, 'store'])->name('hand-in.store');
        Route::post('/scene', [Scene\SceneController::class, 'store'])->name('scene.store');
        Route::post('/scene/pieces', [Scene\ScenePieceController::class, 'store'])->name('scene.piece');
        Route::get('/scene/enter', [Scene\TypedSceneController::class, 'create'])->name('scene.entry');
        Route::post('/scene/typed', [Scene\TypedSceneController::class, 'store'])->name('scene.typed');
        Route::put('/scene/part', [Scene\ScenePartController::class, 'update'])->name('scene.part');
        Route::post('/scene/names', [Scene\NameMeaningController::class, 'store'])->name('scene.point');
        Route::post('/ticks', [Check\TickController::class, 'store'])->name('tick');
        Route::patch('/render', [Render\RenderController::class, 'update'])->name('render.update');
        Route::get('/logs', [Render\RenderLogController::class, 'index'])->name('logs');
        Route::post('/logs', [Render\RenderLogController::class, 'store'])->name('logs.send');
        Route::post('/logs/follow', [Render\FollowedLogController::class, 'store'])->name('logs.begin');
        Route::get('/intake', [Check\IntakeController::class, 'show'])->name('intake');
        Route::post('/watch', [Check\WatchController::class, 'store'])->name('watch');
        Route::delete('/watch', [Check\WatchController::class, 'destroy'])->name('watch.stop');
        Route::get('/archive', [Check\ArchivePieceController::class, 'show'])->name('archive');
        Route::post('/archive', [Check\ArchivePieceController::class, 'store'])
            ->middleware('throttle:picked')
            ->withoutMiddleware('throttle:work')
            ->name('archive.piece');
        Route::post('/picked', [Check\PickedFolderController::class, 'store'])
            ->middleware('throttle:costly')
            ->name('picked.begin');
        Route::post('/checks', [Check\CheckController::class, 'store'])
            ->middleware('throttle:costly')
            ->name('checks.store');
    });
});

Route::middleware(['auth', 'throttle:work'])->group(function (): void {
    Route::post('/webhooks/{webhook}', [People\WebhookController::class, 'test'])
        ->middleware('throttle:costly')
        ->can('decide', 'webhook')
        ->name('webhook.test');
    Route::delete('/webhooks/{webhook}', [People\WebhookController::class, 'destroy'])
        ->can('decide', 'webhook')
        ->name('webhook.drop');
    Route::delete('/views/{view}', [Production\SavedViewController::class, 'destroy'])
        ->can('drop', 'view')
        ->name('view.drop');
    Route::delete('/messages/{message}', [Board\MessageController::class, 'destroy'])
        ->can('decide', 'message')
        ->name('message.drop');
    Route::delete('/sheets/{link}', [Specification\SheetLinkController::class, 'destroy'])
        ->can('specify', 'link')
        ->name('sheet.revoke');
    Route::post('/changes/{change}/{way}', [Specification\ChangeController::class, 'update'])
        ->whereIn('way', ['undo', 'redo'])
        ->can('turn', 'change')
        ->name('change.turn');
    Route::get('/logs/{log}', [Render\RenderLogController::class, 'show'])->can('view', 'log')->name('log');
    Route::delete('/logs/{log}', [Render\RenderLogController::class, 'destroy'])->can('check', 'log')->name('log.drop');
    Route::delete('/moves/{move}', [Check\MoveController::class, 'destroy'])
        ->can('undo', 'move')
        ->name('moves.undo');
    Route::delete('/waivers/{waiver}', [Check\WaiverController::class, 'destroy'])
        ->can('decide', 'waiver')
        ->name('waiver.drop');
});

Route::middleware(['auth', 'throttle:work'])->prefix('/practice/{exercise}')->group(function (): void {
    Route::delete('/', [Practice\PracticeController::class, 'destroy'])
        ->can('decide', 'exercise')
        ->name('practice.drop');
    Route::middleware('can:view,exercise')->group(function (): void {
        Route::get('/', [Practice\TryController::class, 'show'])->name('try');
        Route::post('/', [Practice\TryController::class, 'store'])->middleware('throttle:costly')->name('try.begin');
        Route::post('/answer', [Practice\TryController::class, 'answer'])
            ->middleware('throttle:costly')
            ->name('try.answer');
        Route::post('/specification', [Practice\TryController::class, 'write'])
            ->middleware('throttle:costly')
            ->name('try.write');
        Route::get('/files.zip', [Practice\TryController::class, 'files'])
            ->middleware('throttle:costly')
            ->name('try.files');
    });
});

Route::middleware(['auth', 'throttle:work'])->prefix('/hand-ins/{handIn}')->group(function (): void {
    Route::get('/', [Course\FeedbackController::class, 'show'])->can('view', 'handIn')->name('feedback');
    Route::get('/feedback.{format}', [Course\FeedbackController::class, 'file'])
        ->whereIn('format', ['html', 'pdf', 'json'])
        ->middleware('throttle:costly')
        ->can('view', 'handIn')
        ->name('feedback.file');
    Route::middleware('can:mark,handIn')->group(function (): void {
        Route::put('/mark', [Course\FeedbackController::class, 'mark'])->name('feedback.mark');
        Route::put('/agreed', [Course\FeedbackController::class, 'agree'])->name('feedback.agree');
        Route::post('/return', [Course\FeedbackController::class, 'return'])->name('feedback.return');
    });
});

Route::middleware(['auth', 'throttle:work'])->prefix('/submissions/{submission}')->group(function (): void {
    Route::middleware('can:view,submission')->group(function (): void {
        Route::get('/seal', [Submission\SealController::class, 'show'])->name('seal');
        Route::get('/package.zip', Submission\PackageController::class)
            ->middleware('throttle:costly')
            ->name('package');
        Route::get('/record.{format}', [Submission\RecordController::class, 'show'])
            ->middleware('throttle:costly')
            ->name('record');
    });
    Route::middleware('can:sign,submission')->group(function (): void {
        Route::post('/withdraw', [Submission\SubmissionController::class, 'withdraw'])->name('submission.withdraw');
        Route::post('/seal', [Submission\SealController::class, 'store'])
            ->middleware('throttle:costly')
            ->name('seal.again');
        Route::delete('/seal', [Submission\SealController::class, 'destroy'])->name('seal.stop');
        Route::get('/sums', [Submission\SumsController::class, 'show'])->name('sums');
        Route::post('/sums', [Submission\SumsController::class, 'store'])
            ->middleware('throttle:picked')
            ->withoutMiddleware('throttle:work')
            ->name('sums.tell');
        Route::post('/links', [Submission\RecordController::class, 'share'])->name('record.share');
    });
});

Route::middleware(['auth', 'throttle:work'])->prefix('/checks/{check}')->group(function (): void {
    Route::get('/', [Check\CheckController::class, 'show'])->can('view', 'check')->name('check');
    Route::get('/progress', [Check\CheckProgressController::class, 'show'])
        ->can('view', 'check')
        ->name('check.progress');
    Route::post('/again', Check\RepeatCheckController::class)->can('check', 'check')->name('check.again');
    Route::post('/stop', Check\StopCheckController::class)->can('check', 'check')->name('check.stop');
    Route::post('/waivers', [Check\WaiverController::class, 'store'])->can('waive', 'check')->name('waive');
    Route::get('/report.{format}', Check\CheckReportController::class)
        ->middleware('throttle:costly')
        ->can('view', 'check')
        ->name('check.report');
    Route::middleware('can:check,check')->group(function (): void {
        Route::get('/moves', [Check\MoveController::class, 'show'])->middleware('throttle:costly')->name('moves');
        Route::post('/moves', [Check\MoveController::class, 'store'])->middleware('throttle:costly')->name('moves.do');
        Route::get('/moves.{format}', Check\MoveScriptController::class)
            ->whereIn('format', ['sh', 'bat', 'csv', 'json'])
            ->middleware('throttle:costly')
            ->name('moves.script');
    });
    Route::get('/against/{other}', [Check\AgainstController::class, 'show'])
        ->where('other', '[0-9]{1,18}')
        ->can('view', 'check')
        ->name('against');
    Route::get('/look/{part}', [Check\LookController::class, 'show'])->can('view', 'check')->name('look');
    Route::get('/pictures/{part}/{frame}', [Check\PictureController::class, 'show'])
        ->where('frame', '-?\d{1,10}')
        ->middleware('throttle:pictures')
        ->withoutMiddleware('throttle:work')
        ->can('view', 'check')
        ->name('check.picture');
    Route::get('/movies/{part}', [Check\MovieFileController::class, 'show'])
        ->middleware('throttle:pictures')
        ->withoutMiddleware('throttle:work')
        ->can('view', 'check')
        ->name('check.movie');
    Route::get('/movies/{part}/{picture}', [Check\MoviePictureController::class, 'show'])
        ->where('picture', '\d{1,7}')
        ->middleware('throttle:pictures')
        ->withoutMiddleware('throttle:work')
        ->can('view', 'check')
        ->name('check.movie.picture');
    Route::post('/shown/{part}', [Check\ShownPicturesController::class, 'store'])
        ->middleware('throttle:costly')
        ->can('check', 'check')
        ->name('check.shown');
    Route::get('/tagged/{part}', [Check\TaggedCopyController::class, 'show'])
        ->middleware('throttle:costly')
        ->can('view', 'check')
        ->name('check.tagged');
    Route::get('/places/{part}/{frame}', [Check\PlaceController::class, 'show'])
        ->where('frame', '-?\d{1,10}')
        ->middleware('throttle:pictures')
        ->withoutMiddleware('throttle:work')
        ->can('view', 'check')
        ->name('check.place');
});

// asked at each keystroke, so counted apart from the rest of the work
Route::middleware(['auth', 'throttle:typing'])->group(function (): void {
    Route::get('/find', Account\FindController::class)->name('find');
    Route::get('/news', [Account\NoticeController::class, 'news'])->name('news');
    Route::post('/deliverables/{deliverable}/understand', Specification\UnderstandController::class)
        ->can('specify', 'deliverable')
        ->name('understand');
    Route::post('/deliverables/{deliverable}/scene/try', Scene\TypedAttemptController::class)
        ->can('check', 'deliverable')
        ->name('scene.try');
    Route::post('/productions/{production}/understand', Production\UnderstandHouseController::class)
        ->can('decide', 'production')
        ->name('house.understand');
    Route::post('/productions/{production}/plan', Render\PlanAttemptController::class)
        ->middleware('throttle:costly')
        ->can('view', 'production')
        ->name('plan.try');
    Route::post('/productions/{production}/log-shapes/try', Production\PatternTrialController::class)
        ->middleware('throttle:costly')
        ->can('decide', 'production')
        ->name('shape.try');
    Route::post('/calculate', [Account\CalculatorController::class, 'store'])->name('calculate');
});
