import { useEffect, useState } from 'react'

/** Text as a QR code, dark on light in either theme: cameras read no other. */
export function QrCode({ text }: { text: string }) {
  const [src, setSrc] = useState<string>()
  useEffect(() => {
    let isWanted = true
    void import('qrcode')
      .then(({ toDataURL }) =>
        toDataURL(text, { errorCorrectionLevel: 'M', margin: 2, width: 280 }),
      )
      .then((made) => isWanted && setSrc(made))
    return () => {
      isWanted = false
    }
  }, [text])
  return <img src={src} alt={`Code that opens ${text}`} width={280} height={280} />
}
