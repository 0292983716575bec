<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Health\Workers;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;
use Throwable;

/** How the application is, for a person or a program that watches it: no names, no numbers of the bench. */
final class HealthController
{
    public function show(): JsonResponse
    {
        try {
            DB::select('select 1');
            $database = true;
        } catch (Throwable) {
            $database = false;
        }
        $workers = Workers::alive();
        $deaths = count(Workers::deaths());
        $well = $database && ($workers === null || ! in_array(false, $workers, true));

        return response()->json(
            [
                'state' => ! $database ? 'down' : ($well && $deaths === 0 ? 'well' : 'look'),
                'database' => $database,
                'workers' => $workers,
                'deaths_unseen' => $deaths,
            ],
            $database ? 200 : 503,
        );
    }
}
