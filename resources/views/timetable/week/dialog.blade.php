{{-- How far a move goes; asked after a session was dragged --}}
<div class="modal" tabindex="-1" aria-labelledby="move-title" x-ref="dialog" id="move-dialog">
    <div class="modal-dialog">
        <form class="modal-content" method="post">@csrf
            @method('put')
            <div class="modal-body">
                <h2 id="move-title" class="mb-2">{{ __('session.move.do') }}</h2>
                @foreach (['move_day' => '', 'move_start' => '', 'move_end' => ''] + $page->back() as $name => $value)
                    <input type="hidden" name="{{ $name }}" value="{{ $value }}">
                @endforeach
                <div class="answer"></div>
            </div>
            <div class="modal-footer">
                <button class="btn btn-main">{{ __('session.move.do') }}</button>
                <button class="btn btn-side" type="button" data-bs-dismiss="modal">{{ __('session.move.leave') }}</button>
            </div>
        </form>
    </div>
</div>
