{{-- Passes that two browsers use, for the teacher to decide. claims: list of PassClaim; live: LiveRoom --}}
@props(['claims', 'live'])
<section class="card-s">
    <h2>{{ trans_choice('live.passes.title', count($claims)) }}</h2>
    <p class="quiet mb-2">{{ __('live.passes.why') }}</p>
    @foreach ($claims as $claim)
        <div class="mb-3">
            <b>{{ $claim->guest }}</b>
            <div class="small">
                {{ __('live.passes.first', ['browser' => $claim->first ?: __('live.passes.unknown'), 'at' => $claim->since]) }}
            </div>
            <div class="small">
                {{ __('live.passes.second', ['browser' => $claim->second ?: __('live.passes.unknown'), 'at' => $claim->asked]) }}
            </div>
            <form class="d-flex gap-2 mt-1 flex-wrap" method="post" action="{{ $live->page }}">@csrf
                <input type="hidden" name="person" value="{{ $claim->id }}">
                <button class="btn btn-side py-0" name="act" value="pass-move">{{ __('live.passes.move') }}</button>
                <button class="btn btn-side py-0" name="act" value="pass-keep">{{ __('live.passes.keep') }}</button>
            </form>
        </div>
    @endforeach
</section>
