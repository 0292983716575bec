<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ChangeBrief;
use App\Bridge\FirmwareBridge;
use App\Catalogue\CatalogueStore;
use App\Models\Job;
use App\View\PartitionsPage;
use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Install\Keeping;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** What stays on the target drive and what goes. */
final class PartitionController
{
    public function show(Job $job, Request $request, FirmwareBridge $bridge, CatalogueStore $store): View
    {
        return view('jobs.partitions', [
            'job' => $job,
            'mayWork' => $job->isOpen() && $request->user()?->mayWork() === true,
            'page' => new PartitionsPage(
                $job->currentPlan()->typed(),
                $bridge->machine($job),
                array_map(static fn (SystemProfile $one): string => $one->name, $store->catalogue()->systems()),
            ),
        ]);
    }

    public function update(Job $job, Request $request, ChangeBrief $change): RedirectResponse
    {
        $chosen = $request->validate([
            'stays' => 'array|max:128',
            'stays.*' => 'string|regex:/^[0-9]{1,15}$/',
            'other' => ['nullable', 'string', 'max:80', 'regex:/^[a-z0-9-]*$/'],
        ], ['stays.*' => 'Choose among the partitions of the list.', 'other.*' => 'Choose a system of the list.']);
        $stays = array_values(array_map(strval(...), $chosen['stays'] ?? []));
        $change->handle(
            $job,
            $request->user(),
            static fn (array $brief): array => self::staying($brief, $stays, (string) ($chosen['other'] ?? '')),
            $stays === [] ? 'nothing stays on the drive' : 'something stays on the drive',
            (int) $request->input('seen', 0),
            'stays',
        );

        return redirect("/jobs/{$job->id}/partitions", 303)->with('did', 'replanned');
    }

    /**
     * @param  array<string, mixed>  $brief
     * @param  list<string>  $stays
     * @return array<string, mixed>
     */
    private static function staying(array $brief, array $stays, string $other): array
    {
        $machine = is_array($brief['machine'] ?? null) ? $brief['machine'] : [];
        $facts = is_array($machine['facts'] ?? null) ? $machine['facts'] : [];
        unset($facts[Keeping::STAYS], $facts[Keeping::OTHER]);
        if ($stays !== []) {
            $facts[Keeping::STAYS] = implode(', ', $stays);
            $facts += $other === '' ? [] : [Keeping::OTHER => $other];
        }

        return [...$brief, 'machine' => [...$machine, 'facts' => $facts]];
    }
}
