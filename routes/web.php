<?php

use App\Http\Controllers\AccountController;
use App\Http\Controllers\AnswerController;
use App\Http\Controllers\AssessmentController;
use App\Http\Controllers\BackupController;
use App\Http\Controllers\BatteryController;
use App\Http\Controllers\BellController;
use App\Http\Controllers\BenchController;
use App\Http\Controllers\BuildController;
use App\Http\Controllers\CatalogueController;
use App\Http\Controllers\DriverController;
use App\Http\Controllers\ElsewhereController;
use App\Http\Controllers\FetchController;
use App\Http\Controllers\FindController;
use App\Http\Controllers\FirmwareController;
use App\Http\Controllers\FrameController;
use App\Http\Controllers\GentlerController;
use App\Http\Controllers\IncidentController;
use App\Http\Controllers\IntakeController;
use App\Http\Controllers\JobController;
use App\Http\Controllers\JobStateController;
use App\Http\Controllers\JobStickController;
use App\Http\Controllers\KeyController;
use App\Http\Controllers\LearnedController;
use App\Http\Controllers\MemoryController;
use App\Http\Controllers\OpeningPhotoController;
use App\Http\Controllers\PackageController;
use App\Http\Controllers\PaperController;
use App\Http\Controllers\PartitionController;
use App\Http\Controllers\PeopleController;
use App\Http\Controllers\PolicyController;
use App\Http\Controllers\ProvingStartController;
use App\Http\Controllers\ReadingController;
use App\Http\Controllers\RehearsalController;
use App\Http\Controllers\RetentionController;
use App\Http\Controllers\RunController;
use App\Http\Controllers\SessionController;
use App\Http\Controllers\ShelfController;
use App\Http\Controllers\ShopNameController;
use App\Http\Controllers\StartController;
use App\Http\Controllers\StickController;
use App\Http\Controllers\UploadController;
use App\Http\Controllers\WayController;
use App\Http\Controllers\WayInController;
use App\Http\Controllers\WhatStickController;
use App\Http\Middleware\ContentsStand;
use App\Http\Middleware\ReadsSession;
use App\Http\Middleware\RequiresRole;
use App\Http\Middleware\StillHere;
use Illuminate\Support\Facades\Route;

// A number that no job can have is a page that is not there, never a fault of the database.
foreach (['job', 'file', 'build', 'snapshot', 'person', 'fact', 'key', 'start', 'erasure'] as $number) {
    Route::pattern($number, '[0-9]{1,18}');
}
Route::pattern('upload', '[0-9a-f-]{36}');
Route::pattern('step', '[a-z0-9.-]{1,120}');
Route::pattern('action', '[a-z-]{1,40}');
Route::pattern('change', '[a-z-]{1,40}');
Route::pattern('what', '[A-Za-z0-9.-]{1,40}');
Route::pattern('kind', '[a-z-]{1,40}');
Route::pattern('session', '[0-9a-f]{24}');

Route::middleware('guest')->group(function (): void {
    Route::get('/login', [SessionController::class, 'create'])->name('login');
    Route::post('/login', [SessionController::class, 'store']);
    Route::get('/login/code', [SessionController::class, 'code']);
    Route::post('/login/code', [SessionController::class, 'check']);
});

Route::middleware(['auth', StillHere::class, ContentsStand::class])->group(function (): void {
    Route::post('/logout', [SessionController::class, 'destroy']);

    Route::get('/account', [AccountController::class, 'show']);
    Route::post('/account/password', [AccountController::class, 'password']);
    Route::post('/account/code/secret', [AccountController::class, 'secret']);
    Route::post('/account/code', [AccountController::class, 'code']);
    Route::post('/account/code/off', [AccountController::class, 'codeOff']);
    Route::post('/account/sessions/{session}', [AccountController::class, 'endSession']);
    Route::middleware(RequiresRole::class.':lead')->group(function (): void {
        Route::post('/bench/deaths-seen', [BenchController::class, 'deathsSeen']);
        Route::get('/retention', [RetentionController::class, 'index']);
        Route::post('/retention', [RetentionController::class, 'update']);
        Route::post('/retention/delete', [RetentionController::class, 'delete']);
        Route::get('/jobs/{job}/data.json', [RetentionController::class, 'export']);
        Route::post('/jobs/{job}/forget', [RetentionController::class, 'forget']);
        Route::get('/people', [PeopleController::class, 'index']);
        Route::post('/people', [PeopleController::class, 'store']);
        Route::post('/people/{person}', [PeopleController::class, 'update']);
        Route::post('/people/{person}/end', [PeopleController::class, 'end']);
        Route::post('/people/{person}/reopen', [PeopleController::class, 'reopen']);
        Route::post('/people/{person}/password', [PeopleController::class, 'reset']);
        Route::post('/people/{person}/code/off', [PeopleController::class, 'codeOff']);
        Route::post('/people/sessions/{person}/{session}', [PeopleController::class, 'endSession']);
    });

    Route::get('/', [BenchController::class, 'show'])->name('bench');
    Route::get('/bell', [BellController::class, 'show']);
    Route::get('/bell/strip', [BellController::class, 'strip']);

    Route::get('/jobs', [JobController::class, 'index']);
    Route::middleware(RequiresRole::class.':work')->group(function (): void {
        Route::get('/jobs/new', [JobController::class, 'create']);
        Route::post('/jobs', [JobController::class, 'store']);
        Route::middleware(ReadsSession::class)->group(function (): void {
            Route::post('/jobs/seen', [JobController::class, 'seen']);
            Route::post('/jobs/gentler', [GentlerController::class, 'fresh']);
            Route::post('/jobs/{job}/gentler', [GentlerController::class, 'changed']);
        });
        Route::get('/jobs/{job}/intake', [IntakeController::class, 'edit']);
        Route::post('/jobs/{job}/intake', [IntakeController::class, 'update']);
        Route::post('/jobs/{job}/answers', [IntakeController::class, 'answer']);
        Route::post('/jobs/{job}/readings', [ReadingController::class, 'store']);
        Route::post('/jobs/{job}/settle', [ReadingController::class, 'settle']);
        Route::post('/jobs/{job}/learn', [ReadingController::class, 'learn']);
        Route::post('/jobs/{job}/settings', [FirmwareController::class, 'store']);
        Route::post('/jobs/{job}/ways-in', [WayInController::class, 'tried']);
        Route::post('/jobs/{job}/rehearsal', [RehearsalController::class, 'seen']);
        Route::post('/jobs/{job}/drivers', [DriverController::class, 'store']);
        Route::post('/jobs/{job}/drivers/lay', [DriverController::class, 'lay']);
        Route::post('/jobs/{job}/drivers/lay/stop', [DriverController::class, 'stop']);
        Route::post('/jobs/{job}/rehearsal/start', [RehearsalController::class, 'start']);
        Route::post('/jobs/{job}/frames', [FrameController::class, 'store']);
        Route::post('/jobs/{job}/battery/everyday', [BatteryController::class, 'everyday']);
        Route::post('/jobs/{job}/battery', [BatteryController::class, 'store']);
        Route::post('/jobs/{job}/battery/{drain}/drop', [BatteryController::class, 'drop'])
            ->where('drain', '[0-9]{1,18}');
        Route::post('/jobs/{job}/stick', [JobStickController::class, 'take']);
        Route::post('/jobs/{job}/stick/collect', [JobStickController::class, 'collect']);
        Route::post('/jobs/{job}/stick/files', [JobStickController::class, 'files']);
        Route::post('/jobs/{job}/partitions', [PartitionController::class, 'update']);
        Route::post('/jobs/{job}/tried', [AssessmentController::class, 'tried']);
        Route::post('/jobs/{job}/memory', [MemoryController::class, 'update']);
        Route::post('/jobs/{job}/memory/tests', [MemoryController::class, 'test']);
        Route::post('/jobs/{job}/backup', [BackupController::class, 'compare']);
        Route::post('/jobs/{job}/state/{change}', [JobStateController::class, 'change']);
        Route::get('/jobs/{job}/keys', [KeyController::class, 'index']);
        Route::post('/jobs/{job}/keys', [KeyController::class, 'store']);
        Route::post('/jobs/{job}/keys/{key}/show', [KeyController::class, 'show']);
        Route::post('/jobs/{job}/keys/{key}/delete', [KeyController::class, 'delete']);
        Route::post('/jobs/{number}/steps/{step}/{action}', [RunController::class, 'act'])
            ->where('number', '[0-9]{1,18}');
    });
    Route::get('/jobs/{job}', [JobController::class, 'show']);
    Route::get('/jobs/{job}/run', [RunController::class, 'show']);
    Route::get('/jobs/{job}/assessment', [AssessmentController::class, 'show']);
    Route::get('/jobs/{job}/settings', [FirmwareController::class, 'show']);
    Route::get('/jobs/{job}/settings/{snapshot}/photo', [FirmwareController::class, 'photo']);
    Route::get('/jobs/{job}/ways-in', [WayInController::class, 'show']);
    Route::get('/jobs/{job}/rehearsal', [RehearsalController::class, 'show']);
    Route::get('/jobs/{job}/drivers', [DriverController::class, 'show']);
    Route::get('/jobs/{job}/stick', [JobStickController::class, 'show']);
    Route::get('/jobs/{job}/frames', [FrameController::class, 'show']);
    Route::get('/jobs/{job}/frames.json', [FrameController::class, 'json']);
    Route::get('/jobs/{job}/battery', [BatteryController::class, 'show']);
    Route::get('/jobs/{job}/partitions', [PartitionController::class, 'show']);
    Route::get('/jobs/{job}/answers', [AnswerController::class, 'show']);
    Route::get('/jobs/{job}/answer-file', [AnswerController::class, 'file']);
    Route::get('/jobs/{job}/memory', [MemoryController::class, 'show']);
    Route::get('/jobs/{job}/backup', [BackupController::class, 'show']);
    Route::get('/jobs/{job}/log', [JobController::class, 'log']);
    Route::get('/jobs/{job}/handover', [PaperController::class, 'handover']);
    Route::get('/jobs/{job}/receipt', [PaperController::class, 'receipt']);
    Route::get('/jobs/{job}/paper', [PaperController::class, 'path']);
    Route::get('/jobs/{job}/brief.yaml', [PaperController::class, 'brief']);
    Route::get('/jobs/{job}/plan.json', [PaperController::class, 'plan']);

    Route::get('/shelf', [ShelfController::class, 'index']);
    Route::get('/packages', [PackageController::class, 'index']);
    Route::get('/packages/{package}', [PackageController::class, 'show']);
    Route::get('/shelf/{file}', [ShelfController::class, 'show']);
    Route::get('/shelf/{file}/ways', [WayController::class, 'show']);
    Route::get('/shelf/fetch/{slug}', [FetchController::class, 'show']);
    Route::get('/shelf/{file}/elsewhere', [ElsewhereController::class, 'show']);
    Route::get('/shelf/{file}/plan', [BuildController::class, 'plan']);
    Route::get('/sticks', [StickController::class, 'index']);
    Route::get('/sticks/what', [WhatStickController::class, 'said']);
    Route::post('/sticks/what', [WhatStickController::class, 'read']);
    Route::get('/sticks/{stick}', [StickController::class, 'show']);
    Route::get('/sticks/{stick}/starts', [StartController::class, 'stick']);
    Route::get('/shelf/{file}/starts', [StartController::class, 'image']);
    Route::get('/starts/{start}', [ProvingStartController::class, 'show']);
    Route::get('/starts/{start}/picture', [ProvingStartController::class, 'picture']);
    Route::get('/sticks/{stick}/label', [StickController::class, 'label']);
    Route::get('/sticks/{stick}/builds/{build}', [BuildController::class, 'show']);
    Route::get('/sticks/{stick}/builds/{build}/progress', [BuildController::class, 'progress']);
    Route::get('/sticks/{stick}/builds/{build}/{what}', [BuildController::class, 'export']);
    Route::middleware(RequiresRole::class.':work')->group(function (): void {
        Route::post('/packages', [PackageController::class, 'store']);
        Route::post('/shelf/uploads', [UploadController::class, 'store']);
        Route::put('/shelf/uploads/{upload}', [UploadController::class, 'piece']);
        Route::delete('/shelf/uploads/{upload}', [UploadController::class, 'cancel']);
        Route::post('/shelf/{file}', [ShelfController::class, 'update']);
        Route::post('/shelf/{file}/hash/{action}', [ShelfController::class, 'hash'])
            ->whereIn('action', ['start', 'stop']);
        Route::post('/shelf/fetch/{slug}', [FetchController::class, 'begin']);
        Route::post('/shelf/fetch/{slug}/stop', [FetchController::class, 'stop']);
        Route::post('/shelf/{file}/elsewhere', [ElsewhereController::class, 'prove']);
        Route::post('/shelf/{file}/builds', [BuildController::class, 'store']);
        Route::post('/shelf/{file}/starts', [StartController::class, 'beginImage']);
        Route::post('/sticks/{stick}/starts', [StartController::class, 'beginStick']);
        Route::post('/starts/{start}/stop', [ProvingStartController::class, 'stop']);
        Route::post('/starts/{start}/next', [ProvingStartController::class, 'next']);
        Route::post('/sticks/{stick}/check', [StickController::class, 'check']);
        Route::post('/sticks/{stick}/retire', [StickController::class, 'retire']);
        Route::post('/sticks/{stick}/take-back', [StickController::class, 'takeBack']);
        Route::post('/sticks/{stick}/replug', [StickController::class, 'replug']);
        Route::post('/sticks/{stick}/booted-badly', [StickController::class, 'bootedBadly']);
        Route::post('/sticks/{stick}/builds/{build}/cancel', [BuildController::class, 'cancel']);
    });
    Route::get('/catalogue', [CatalogueController::class, 'index']);
    Route::get('/catalogue/{kind}/{slug}', [CatalogueController::class, 'show']);
    Route::get('/catalogue/machines/{model}/photos/{photo}', [OpeningPhotoController::class, 'show']);
    Route::middleware(RequiresRole::class.':lead')->group(function () {
        Route::post('/catalogue/machines/{model}/photos', [OpeningPhotoController::class, 'store']);
        Route::post('/catalogue/machines/{model}/photos/{photo}/remove', [OpeningPhotoController::class, 'remove']);
    });
    Route::get('/learned', [LearnedController::class, 'index']);
    Route::post('/learned/{fact}', [LearnedController::class, 'decide'])->middleware(RequiresRole::class.':lead');
    Route::middleware(RequiresRole::class.':lead')->group(function (): void {
        Route::post('/incidents/first', [IncidentController::class, 'first']);
        Route::post('/incidents/{entry}', [IncidentController::class, 'decide'])->where('entry', '[0-9]{1,18}');
    });
    Route::get('/find', [FindController::class, 'index']);
    Route::get('/policy', [PolicyController::class, 'edit']);
    Route::post('/packages/{package}/remove', [PackageController::class, 'remove'])
        ->middleware(RequiresRole::class.':lead');
    Route::post('/policy', [PolicyController::class, 'update'])->middleware(RequiresRole::class.':lead');
    Route::post('/policy/shop', [ShopNameController::class, 'update'])->middleware(RequiresRole::class.':lead');
    require __DIR__.'/record.php';
});
