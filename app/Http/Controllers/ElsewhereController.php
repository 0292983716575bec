<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\PlanStick;
use App\Actions\ProveElsewhere;
use App\Actions\StickOrder;
use App\Bridge\StickRegister;
use App\Bridge\WayBridge;
use App\Catalogue\CatalogueStore;
use App\Devices\DriverFolders;
use App\Models\ShelfFile;
use App\View\ElsewherePage;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;

/** A stick that another computer makes: what is done there, and its proof here (rules M13, M14). */
final class ElsewhereController
{
    public function show(
        ShelfFile $file,
        Request $request,
        StickRegister $register,
        WayBridge $ways,
        CatalogueStore $store,
    ): View {
        $given = $request->validate(self::rules());
        $report = $file->inspected() ?? abort(409, 'This image has not been looked into yet. Load the page again.');
        $stick = $register->now()[$given['stick']] ?? abort(404, 'The register has no such stick.');
        $drivers = DriverFolders::path($given['drivers'] ?? null) === null ? null : $given['drivers'];
        $way = $ways->compare($file, $report, $stick, $drivers)->way($given['way']);
        if ($way === null || ! $way->isPossible()) {
            abort(404, 'There is no such way from this image to that stick.');
        }
        $job = isset($given['job']) ? (int) $given['job'] : null;

        return view('shelf.elsewhere', [
            'mayWork' => $request->user()?->mayWork() === true,
            'page' => new ElsewherePage(
                $file, $stick, $way, $drivers, $job, $store->catalogue(), (string) ($given['host'] ?? ''),
            ),
        ]);
    }

    /** The stick is here again: what is on it is compared, and nothing is written. */
    public function prove(
        ShelfFile $file,
        Request $request,
        StickRegister $register,
        PlanStick $planner,
        ProveElsewhere $prove,
        CatalogueStore $store,
    ): RedirectResponse {
        $given = $request->validate(self::rules());
        $host = $store->catalogue()->hosts()[$given['host'] ?? ''] ?? throw ValidationException::withMessages([
            'host' => 'Say on which kind of computer it was made.',
        ]);
        $stick = $register->find($given['stick'])
            ?? throw ValidationException::withMessages(['stick' => 'The register has no such stick.']);
        $order = StickOrder::of($given);
        $build = $prove->handle($planner->handle($file, $order, false), $order, $file, $host, $request->user());

        return redirect("/sticks/{$stick->id}/builds/{$build->id}", 303);
    }

    /** @return array<string, string> */
    private static function rules(): array
    {
        return [...StickOrder::RULES, 'host' => 'nullable|string|max:80'];
    }
}
