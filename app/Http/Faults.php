<?php

declare(strict_types=1);

namespace App\Http;

use App\Actions\ChangedMeanwhile;
use App\Actions\ContentsRemoved;
use App\Actions\EditedMeanwhile;
use App\Documents\DocumentFault;
use App\Models\LogRecord;
use Cobblestone\Runbook\Refused;
use Illuminate\Database\QueryException;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Faults that no form foresees, as a page that says what is, what was kept and what to do next. */
final class Faults
{
    /** SQLSTATE classes (PostgreSQL, appendix A): 08 connection, 22 data, 53 resources, 57 operator intervention. */
    public static function ofDatabase(QueryException $e, Request $request): ?Response
    {
        $state = (string) ($e->errorInfo[0] ?? $e->getCode());

        return match (true) {
            $state === '53100' => self::page(
                507,
                'This computer\'s drive is full',
                'Nothing of what you sent was stored, and nothing that was stored before is lost. Copy what you '
                    .'typed, tell the lead: room must be made on this computer first.',
                $request,
            ),
            in_array(substr($state, 0, 2), ['08', '57', '53'], true) || $state === '7' => self::page(
                503,
                'The database does not answer',
                'Nothing of what you sent was stored, and nothing that was stored before is lost. Try again in a '
                    .'moment; if it stays so, the lead runs bin/start.',
                $request,
            ),
            str_starts_with($state, '22') => self::page(
                $request->isMethodSafe() ? 404 : 422,
                'That cannot be kept',
                'Something in what was sent is no text or no number that is known here. Nothing was stored.',
                $request,
            ),
            default => null,
        };
    }

    public static function ofDocument(DocumentFault $e, Request $request): Response
    {
        return self::page(
            409,
            'This document does not open',
            implode(' ', array_slice($e->faults, 0, 5)).' Nothing was changed by looking; tell the lead.',
            $request,
        );
    }

    /** The contents of the job are gone: that it was, when, and the bare lines of its log. */
    public static function ofRemoved(ContentsRemoved $e): Response
    {
        $log = LogRecord::query()->where('job_id', $e->job->id);
        $last = $log->clone()->latest('id')->limit(400)->get();
        $page = ['job' => $e->job, 'entries' => $last, 'many' => $log->count()];

        return response()->view('jobs.forgotten', $page, 410);
    }

    /** Somebody else went on with the job while this person was writing. */
    public static function ofJob(ChangedMeanwhile $e, Request $request): Response
    {
        $page = ['job' => $e->job, 'entries' => $e->entries, 'typed' => Typed::of($request)];

        return response()->view('jobs.changed', $page, 409);
    }

    /** Somebody else changed the entry while this person was writing. */
    public static function ofEntry(EditedMeanwhile $e, Request $request): Response
    {
        return response()->view('edited', ['edited' => $e, 'typed' => Typed::of($request)], 409);
    }

    /** Back to the form, with what was typed and what is wrong with it. */
    public static function ofForm(Refused $e): Response
    {
        $back = back(303)->withInput(request()->except(Typed::SECRET));
        if ($e->fields === []) {
            return $back->withErrors([$e->field => $e->getMessage()]);
        }

        return $back->withErrors($e->fields)->with(['differs' => array_keys($e->fields)]);
    }

    public static function page(int $status, string $what, string $next, Request $request): Response
    {
        if ($request->expectsJson()) {
            return response()->json(['message' => "{$what}. {$next}"], $status);
        }

        return response()->view(
            'errors.fault',
            ['heading' => $what, 'next' => $next, 'typed' => Typed::of($request)],
            $status,
        );
    }
}
