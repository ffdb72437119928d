{{-- What came of trying a place. --}}
<div class="{{ session('trial.works') ? 'said-s' : 'warn-s' }}" role="status">
    <b class="{{ session('trial.works') ? 'good' : 'bad' }}">
        {{ session('trial.works') ? __('publishing.places.works') : __('publishing.places.works_not') }}</b>
    @foreach (session('trial.words', []) as $words)
        <span>{{ $words }}</span>
    @endforeach
</div>
