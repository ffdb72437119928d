{{-- A request that waits. one: RequestLine; page: RequestsPage --}}
<section class="card-s wish" id="request-{{ $one->id }}" aria-labelledby="request-{{ $one->id }}-of">
    <div class="wish-what">
        <h2 id="request-{{ $one->id }}-of"><a href="{{ $one->url }}">{{ $one->section }}</a></h2>
        <p>{{ ucfirst($one->what) }}</p>
        @if ($one->why !== '')
            <p class="quiet">“{{ $one->why }}”</p>
        @endif
        <p class="quiet">{{ $one->by }} · {{ $one->at }}</p>
    </div>
    @if ($page->mayDecide)
        <form class="wish-decide" method="post" action="{{ route('requests.accept', $one->id) }}">@csrf
            @if ($one->effect !== null)
                <p class="{{ $one->isPossible ? ($one->effect === __('requests.clear') ? 'good' : 'todo') : 'bad' }}">
                    {{ $one->effect }}</p>
            @endif
            <label class="form-label" for="answer-{{ $one->id }}">{{ __('requests.answer') }}</label>
            <input class="form-control mb-2" id="answer-{{ $one->id }}" name="answer" maxlength="300">
            <button class="btn btn-main" @disabled(!$one->isPossible)>{{ __('requests.accept') }}<span class="visually-hidden">
                    {{ $one->section }}: {{ $one->what }}</span></button>
            <button class="btn btn-side" formaction="{{ route('requests.decline', $one->id) }}">{{ __('requests.decline') }}<span
                    class="visually-hidden"> {{ $one->section }}: {{ $one->what }}</span></button>
        </form>
    @endif
    @if ($one->isOwn)
        <x-act :to="route('requests.withdraw', $one->id)" method="delete" class="btn-side" :do="__('requests.withdraw')"
            :about="$one->what" />
    @endif
</section>
