<?php

declare(strict_types=1);

namespace Cobblestone\Job;

use Cobblestone\Drivers\CardDriver;
use Cobblestone\Drivers\OldCard;
use Cobblestone\Drivers\PegFound;
use Cobblestone\Hardware\CardFit;
use Cobblestone\Hardware\Opening;
use Cobblestone\Job\Path\PathDraft;

/** What a path promises of devices: the versions of their drivers, and the card that it swaps (rules T1, D6). */
final readonly class PromisedDevices
{
    public function __construct(private JobContext $context, private PathDraft $draft)
    {
    }

    /** @return array<string, string> identifier => version of the package that is installed for it */
    public function drivers(): array
    {
        $packages = array_column($this->context->catalogue->drivers(), 'version', 'id');
        $versions = [];
        foreach ($this->found() as $peg) {
            if (isset($packages[$peg->packageId])) {
                $versions[$peg->id] = $packages[$peg->packageId];
            }
        }

        return $versions;
    }

    /** @return list<string> */
    public function bare(): array
    {
        return array_values(array_map(
            static fn (PegFound $peg): string => $peg->id,
            array_filter($this->found(), static fn (PegFound $peg): bool => $peg->hangs === 'empty'),
        ));
    }

    /** @return list<PegFound> */
    private function found(): array
    {
        return $this->draft->findings->drivers;
    }

    /**
     * @param  bool  $fits  whether the path puts a part in
     * @return array{0: list<string>, 1: array<string, string>, 2: array<string, string>, 3: int|null} what goes, what
     *     comes, the version of its driver, the lanes of its link
     */
    public function card(bool $fits): array
    {
        [$card, $machine] = [$this->context->brief->card, $this->context->machine];
        if ($card === null || ! $fits) {
            return [[], [], [], null];
        }
        [$system, $shelf] = [$this->context->system, $this->context->catalogue->drivers()];
        $driver = CardDriver::match($card, $machine, $system, $shelf, $this->context->policy);
        $old = OldCard::of($card, $machine, $system, $shelf)->device;
        $new = $driver->identifier;
        $lanes = (new CardFit($machine, $card, (new Opening($machine->model))->cardSlot()))->lanes();

        return [
            $old === null || $old->identifier === $new ? [] : [$old->identifier],
            $new === null ? [] : [$new => $driver->card],
            $new === null || $driver->package === null ? [] : [$new => $driver->package->version],
            $lanes,
        ];
    }
}
