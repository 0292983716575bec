<?php

namespace Tests;

use App\Actions\DemoWorld;
use App\Actions\OpenJob;
use App\Catalogue\CatalogueFolder;
use App\Catalogue\CatalogueStore;
use App\Documents\BriefDocument;
use App\Models\Job;
use App\Models\User;
use Illuminate\Foundation\Testing\TestCase as BaseTestCase;
use Illuminate\Foundation\Testing\WithCachedConfig;
use Illuminate\Foundation\Testing\WithCachedRoutes;

abstract class TestCase extends BaseTestCase
{
    // Read once by a process, as at the bench.
    use WithCachedConfig;
    use WithCachedRoutes;

    /** @var array<string, array<string, array<string, mixed>>>|null */
    private static ?array $demoCatalogue = null;

    /** @return array<string, User> the demo people, and the demo catalogue stored */
    public function bench(): array
    {
        // Read and checked once; every test stores it anew.
        self::$demoCatalogue ??= CatalogueFolder::read(base_path('catalogue'))->catalogue()->toArray();
        app(CatalogueStore::class)->replace(self::$demoCatalogue);

        return app(DemoWorld::class)->people();
    }

    /** A job opened from one of the guide's briefs. */
    public function jobFrom(string $brief, User $user): Job
    {
        return app(OpenJob::class)
            ->handle($user, BriefDocument::fromFile(base_path("docs/guide/briefs/{$brief}.yaml")))
            ->refresh();
    }
}
