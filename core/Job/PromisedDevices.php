<?php

declare(strict_types=1);

namespace Cobblestone\Job;

use Cobblestone\Document\Fields;
use Cobblestone\Drivers\CardDriver;
use Cobblestone\Drivers\OldCard;
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
        foreach ($this->found() as [$identifier, $package]) {
            if (isset($packages[$package])) {
                $versions[$identifier] = $packages[$package];
            }
        }

        return $versions;
    }

    /** @return list<string> */
    public function bare(): array
    {
        return array_values(array_map(
            static fn (array $one): string => $one[0],
            array_filter($this->found(), static fn (array $one): bool => $one[2] === 'empty'),
        ));
    }

    /** @return list<array{string, string, string}> identifier, package, whether it hangs */
    private function found(): array
    {
        return Fields::of($this->draft->assessment)->each('drivers', static fn (Fields $one): array => [
            $one->string('id'),
            $one->string('package_id'),
            $one->string('hangs'),
        ]);
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
