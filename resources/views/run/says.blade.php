@if ($page->mayWork)
<button class="btn" type="button" data-opens="note" data-key="n">Note <kbd>n</kbd></button>
@endif
<button class="btn" type="button" data-opens="because" data-key="b">Because <kbd>b</kbd></button>
