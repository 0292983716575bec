<?php

/* What is proven, kept and ended of a machine: inside the group of those who have signed in. */

use App\Http\Controllers\AcceptanceController;
use App\Http\Controllers\DeletionController;
use App\Http\Controllers\ErasureController;
use App\Http\Controllers\FiguresController;
use App\Http\Controllers\JobPhotoController;
use App\Http\Controllers\LogbookController;
use App\Http\Controllers\RecordController;
use App\Http\Controllers\ShiftController;
use App\Http\Middleware\RequiresRole;
use Illuminate\Support\Facades\Route;

Route::get('/jobs/{job}/acceptance', [AcceptanceController::class, 'show']);
Route::get('/jobs/{job}/acceptance/rows.csv', [AcceptanceController::class, 'csv']);
Route::get('/jobs/{job}/log.csv', [RecordController::class, 'csv']);
Route::get('/jobs/{job}/log.json', [RecordController::class, 'json']);
Route::get('/jobs/{job}/dates.ics', [RecordController::class, 'dates']);
Route::get('/jobs/{job}/photos', [JobPhotoController::class, 'index']);
Route::get('/jobs/{job}/photos/{photo}', [JobPhotoController::class, 'show'])->where('photo', '[0-9]{1,18}');
Route::get('/erasures', [ErasureController::class, 'index']);
Route::get('/erasures/{erasure}', [ErasureController::class, 'show']);
Route::get('/logbook/figures', [FiguresController::class, 'show']);
Route::get('/logbook/figures/{table}.csv', [FiguresController::class, 'csv'])->where('table', '[a-z]{1,20}');
Route::get('/logbook.csv', [RecordController::class, 'month']);
Route::get('/shift', [ShiftController::class, 'show']);
Route::get('/shift/{note}', [ShiftController::class, 'note'])->where('note', '[0-9]{1,18}');
Route::get('/logbook', [LogbookController::class, 'index']);
Route::middleware(RequiresRole::class.':work')->group(function (): void {
    Route::post('/jobs/{job}/acceptance', [AcceptanceController::class, 'store']);
    Route::post('/jobs/{job}/acceptance/readings', [AcceptanceController::class, 'read']);
    Route::post('/jobs/{job}/acceptance/leave', [AcceptanceController::class, 'leave']);
    Route::post('/jobs/{job}/photos', [JobPhotoController::class, 'store']);
    Route::post('/jobs/{job}/photos/{photo}/remove', [JobPhotoController::class, 'remove'])
        ->where('photo', '[0-9]{1,18}');
    Route::post('/shift', [ShiftController::class, 'store']);
    Route::post('/erasures', [ErasureController::class, 'store']);
    Route::post('/erasures/{erasure}/cancel', [ErasureController::class, 'cancel']);
    Route::get('/deletions', [DeletionController::class, 'index']);
    Route::post('/deletions/{number}', [DeletionController::class, 'delete'])->where('number', '[0-9]{1,18}');
});
