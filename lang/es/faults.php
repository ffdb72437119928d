<?php

// What went wrong with what somebody typed, and how to mend it, where students and guardians read it.
return [
    'password' => [
        'many' => 'Demasiadas contraseñas incorrectas. Espera 15 minutos y vuelve a intentarlo.',
        'short' => 'Usa al menos :n caracteres. Unas cuantas palabras se recuerdan bien.',
        'long' => 'Usa como mucho :n caracteres.',
        'common' => 'Esta contraseña es de las más corrientes. Elige otra.',
        'repeats' => 'Esta contraseña repite unos pocos caracteres. Elige una más difícil de adivinar.',
        'known' => 'Esta contraseña contiene tu nombre, tu correo o tu centro. Elige otra cosa.',
        'link' => 'Este enlace ya se usó, o ha caducado. Pide otro.',
        'old' => 'Esa no es tu contraseña actual.',
    ],
    'factor' => [
        'on' => 'La verificación en dos pasos ya está activada. Desactívala antes de configurarla de nuevo.',
        'wrong' => 'El código no es correcto. Comprueba el reloj de tu dispositivo y escribe el siguiente código.',
        'many' => 'Demasiados códigos incorrectos. Espera 15 minutos y vuelve a entrar.',
    ],
    'registration' => [
        'follows' => 'No tienes que inscribirte: quien está matriculado en esta clase ya tiene la inscripción. Pide a '
            .'tu centro que te matricule.',
        'opens' => 'La inscripción se abre el :day.',
        'closed' => 'La inscripción se cerró el :day.',
        'none_left' => 'No queda ninguna sesión de esta clase.',
        'choose' => 'Elige al menos una sesión.',
        'moved' => 'Una de estas sesiones ya terminó o cambió de hora. Elige de la lista actualizada.',
        'already' => 'Ya tienes hecha esta inscripción. Mira su estado arriba.',
        'name' => 'Escribe tu nombre completo, como lo tiene el centro.',
        'email' => 'Escribe tu correo electrónico, por ejemplo nombre@school.example.',
        'list' => 'Elige sesiones de la lista.',
    ],
    'code' => [
        'write' => 'Escribe el código de acceso: diez letras y cifras.',
        'slip' => 'Este código tiene un error. Compáralo letra a letra; no lleva vocales.',
        'none' => 'Ninguna clase tiene este código. Compruébalo en la página del curso.',
    ],
    'absence' => [
        'backwards' => 'El último día es anterior al primero.',
        'long' => 'Aquí puedes comunicar hasta :n días. Si son más, ponte en contacto con el centro.',
        'over' => 'Ese día ya pasó. Pide al centro que justifique la falta.',
    ],
    'date' => [
        'none_such' => 'No existe la fecha :date.',
        'iso' => '«:text» no es una fecha. Escribe año-mes-día, como 2027-02-18.',
        'unread' => '«:typed» no es una fecha. Escríbela como 18/2.',
        'order' => '«:typed» no es una fecha. El día va primero, como 18/2 para el 18 de febrero.',
        'none' => 'No existe la fecha «:typed». Escribe un día que tenga ese mes.',
        'weekday' => 'En :year ese día es :date. ¿Cuál de los dos es?',
        'outside' => '«:typed» no está en el trimestre. Escribe también el mes, como 18/2.',
        'several' => '«:typed» puede ser cualquiera de estas: :some. Escribe también el mes.',
    ],
    'time' => [
        'unread' => '«:typed» no es una hora. Escríbela como 9, 9:05 o 0905.',
        'hour' => '«:typed» no es una hora: la hora :hour no es válida.',
        'early' => 'Las :time es antes de las 07:00. ¿Es así?',
        'late' => 'Las :time es después de las 21:00. ¿Es así?',
        'or' => '¿:one o :other?',
        'figures' => ':why Escríbela con cuatro cifras, como 15:00 o 03:00.',
    ],
    'room' => 'La sala no se abrió: :why Prueba dentro de un minuto, o entra por teléfono.',
];
