<?php

use App\Models\CatalogueEntry;

beforeEach(function () {
    $this->bench();
    $this->signer = CatalogueEntry::query()->where('kind', 'signers')->where('slug', 'third-party')->sole();
    $this->mend = fn () => (require database_path('migrations/2026_11_28_000006_signers_say_their_switch.php'))->up();
});

it('gives a signer of an older catalogue the setting that lets it in', function () {
    $older = $this->signer->document;
    unset($older['switch']);
    $this->signer->update(['document' => $older]);
    ($this->mend)();
    expect($this->signer->refresh()->document)->toEqual([...$older, 'switch' => 'third_party_signer']);
});

it('leaves alone what a bench has said itself', function () {
    $own = [...$this->signer->document, 'switch' => 'guest_signer'];
    $this->signer->update(['document' => $own]);
    ($this->mend)();
    expect($this->signer->refresh()->document)->toEqual($own);
});
