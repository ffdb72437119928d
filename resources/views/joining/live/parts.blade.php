{{-- What changes while the session runs; fetched anew by itself. page: DeskPage --}}
<div class="contents" x-ref="parts">
    @include('joining.live.line', ['line' => $page->line])
    @include('joining.live.acts')
    @include('joining.live.who')
    @include('joining.live.sheet')
    @include('joining.live.talk')
</div>
