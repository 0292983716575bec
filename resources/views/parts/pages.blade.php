@if ($paginator->hasPages())
<p class="pages">
@if ($paginator->previousPageUrl())
<a class="btn" href="{{ $paginator->previousPageUrl() }}">Newer</a>@endif
@if ($paginator->nextPageUrl()) <a class="btn" href="{{ $paginator->nextPageUrl() }}">Older</a>@endif
</p>
@endif
