<?php

use App\Http\Controllers\AssessmentController;
use App\Http\Controllers\BackupController;
use App\Http\Controllers\BellController;
use App\Http\Controllers\BenchController;
use App\Http\Controllers\BuildController;
use App\Http\Controllers\CatalogueController;
use App\Http\Controllers\FindController;
use App\Http\Controllers\FirmwareController;
use App\Http\Controllers\IntakeController;
use App\Http\Controllers\JobController;
use App\Http\Controllers\JobStateController;
use App\Http\Controllers\KeyController;
use App\Http\Controllers\LearnedController;
use App\Http\Controllers\LogbookController;
use App\Http\Controllers\MemoryController;
use App\Http\Controllers\PaperController;
use App\Http\Controllers\PolicyController;
use App\Http\Controllers\ReadingController;
use App\Http\Controllers\RehearsalController;
use App\Http\Controllers\RunController;
use App\Http\Controllers\SessionController;
use App\Http\Controllers\ShelfController;
use App\Http\Controllers\StartController;
use App\Http\Controllers\StickController;
use App\Http\Controllers\UploadController;
use App\Http\Controllers\WayController;
use App\Http\Controllers\WayInController;
use App\Http\Middleware\RequiresRole;
use Illuminate\Support\Facades\Route;

// A number that no job can have is a page that is not there, never a fault of the database.
Route::pattern('job', '[0-9]{1,18}');

Route::middleware('guest')->group(function (): void {
    Route::get('/login', [SessionController::class, 'create'])->name('login');
    Route::post('/login', [SessionController::class, 'store'])->middleware('throttle:sign-in');
});

Route::middleware('auth')->group(function (): void {
    Route::post('/logout', [SessionController::class, 'destroy']);

    Route::get('/', [BenchController::class, 'show'])->name('bench');
    Route::get('/bell', [BellController::class, 'show']);
    Route::get('/bell/strip', [BellController::class, 'strip']);

    Route::get('/jobs', [JobController::class, 'index']);
    Route::middleware(RequiresRole::class.':work')->group(function (): void {
        Route::get('/jobs/new', [JobController::class, 'create']);
        Route::post('/jobs', [JobController::class, 'store']);
        Route::get('/jobs/{job}/intake', [IntakeController::class, 'edit']);
        Route::post('/jobs/{job}/intake', [IntakeController::class, 'update']);
        Route::post('/jobs/{job}/answers', [IntakeController::class, 'answer']);
        Route::post('/jobs/{job}/readings', [ReadingController::class, 'store']);
        Route::post('/jobs/{job}/settle', [ReadingController::class, 'settle']);
        Route::post('/jobs/{job}/learn', [ReadingController::class, 'learn']);
        Route::post('/jobs/{job}/settings', [FirmwareController::class, 'store']);
        Route::post('/jobs/{job}/ways-in', [WayInController::class, 'tried']);
        Route::post('/jobs/{job}/rehearsal', [RehearsalController::class, 'seen']);
        Route::post('/jobs/{job}/tried', [AssessmentController::class, 'tried']);
        Route::post('/jobs/{job}/memory', [MemoryController::class, 'update']);
        Route::post('/jobs/{job}/memory/tests', [MemoryController::class, 'test']);
        Route::post('/jobs/{job}/backup', [BackupController::class, 'compare']);
        Route::post('/jobs/{job}/state/{change}', [JobStateController::class, 'change'])->where('change', '[a-z-]+');
        Route::get('/jobs/{job}/keys', [KeyController::class, 'index']);
        Route::post('/jobs/{job}/keys', [KeyController::class, 'store']);
        Route::post('/jobs/{job}/keys/{key}/show', [KeyController::class, 'show']);
        Route::post('/jobs/{job}/keys/{key}/delete', [KeyController::class, 'delete']);
        Route::post('/jobs/{job}/steps/{step}/{action}', [RunController::class, 'act'])->where('step', '[a-z0-9.-]+')->where('action', '[a-z-]+');
    });
    Route::get('/jobs/{job}', [JobController::class, 'show']);
    Route::get('/jobs/{job}/run', [RunController::class, 'show']);
    Route::get('/jobs/{job}/assessment', [AssessmentController::class, 'show']);
    Route::get('/jobs/{job}/settings', [FirmwareController::class, 'show']);
    Route::get('/jobs/{job}/settings/{snapshot}/photo', [FirmwareController::class, 'photo'])->whereNumber('snapshot');
    Route::get('/jobs/{job}/ways-in', [WayInController::class, 'show']);
    Route::get('/jobs/{job}/rehearsal', [RehearsalController::class, 'show']);
    Route::get('/jobs/{job}/memory', [MemoryController::class, 'show']);
    Route::get('/jobs/{job}/backup', [BackupController::class, 'show']);
    Route::get('/jobs/{job}/log', [JobController::class, 'log']);
    Route::get('/jobs/{job}/handover', [PaperController::class, 'handover']);
    Route::get('/jobs/{job}/paper', [PaperController::class, 'path']);
    Route::get('/jobs/{job}/brief.yaml', [PaperController::class, 'brief']);
    Route::get('/jobs/{job}/plan.json', [PaperController::class, 'plan']);

    Route::get('/shelf', [ShelfController::class, 'index']);
    Route::get('/shelf/{file}', [ShelfController::class, 'show'])->whereNumber('file');
    Route::get('/shelf/{file}/ways', [WayController::class, 'show'])->whereNumber('file');
    Route::get('/shelf/{file}/plan', [BuildController::class, 'plan'])->whereNumber('file');
    Route::get('/sticks', [StickController::class, 'index']);
    Route::get('/sticks/{slug}', [StickController::class, 'show']);
    Route::get('/sticks/{slug}/starts', [StartController::class, 'stick']);
    Route::get('/shelf/{file}/starts', [StartController::class, 'image'])->whereNumber('file');
    Route::get('/sticks/{slug}/label', [StickController::class, 'label']);
    Route::get('/sticks/{slug}/builds/{build}', [BuildController::class, 'show'])->whereNumber('build');
    Route::get('/sticks/{slug}/builds/{build}/progress', [BuildController::class, 'progress'])->whereNumber('build');
    Route::get('/sticks/{slug}/builds/{build}/{what}', [BuildController::class, 'export'])->whereNumber('build');
    Route::middleware(RequiresRole::class.':work')->group(function (): void {
        Route::post('/shelf/uploads', [UploadController::class, 'store']);
        Route::put('/shelf/uploads/{upload}', [UploadController::class, 'piece']);
        Route::delete('/shelf/uploads/{upload}', [UploadController::class, 'cancel']);
        Route::post('/shelf/{file}', [ShelfController::class, 'update'])->whereNumber('file');
        Route::post('/shelf/{file}/hash/{action}', [ShelfController::class, 'hash'])->whereNumber('file')->whereIn('action', ['start', 'stop']);
        Route::post('/shelf/{file}/builds', [BuildController::class, 'store'])->whereNumber('file');
        Route::post('/sticks/{slug}/check', [StickController::class, 'check']);
        Route::post('/sticks/{slug}/retire', [StickController::class, 'retire']);
        Route::post('/sticks/{slug}/take-back', [StickController::class, 'takeBack']);
        Route::post('/sticks/{slug}/replug', [StickController::class, 'replug']);
        Route::post('/sticks/{slug}/booted-badly', [StickController::class, 'bootedBadly']);
        Route::post('/sticks/{slug}/builds/{build}/cancel', [BuildController::class, 'cancel'])->whereNumber('build');
    });
    Route::get('/catalogue', [CatalogueController::class, 'index']);
    Route::get('/catalogue/{kind}/{slug}', [CatalogueController::class, 'show']);
    Route::get('/learned', [LearnedController::class, 'index']);
    Route::post('/learned/{fact}', [LearnedController::class, 'decide'])->middleware(RequiresRole::class.':lead');
    Route::get('/logbook', [LogbookController::class, 'index']);
    Route::get('/find', [FindController::class, 'index']);
    Route::get('/policy', [PolicyController::class, 'edit']);
    Route::post('/policy', [PolicyController::class, 'update'])->middleware(RequiresRole::class.':lead');
});
